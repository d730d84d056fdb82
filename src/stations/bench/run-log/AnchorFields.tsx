import { ulid } from 'ulid';
import { ANCHOR } from '../../../core/trials/anchor';
import type { AnchorRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { TextField } from '../../../ui/fields/TextField';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import { TrialsFile } from '../trials/TrialsFile';
import own from './AnchorFields.module.css';

/** Further on than the last anchor, where nothing else is said. */
const NEXT_S = 10;

export const newAnchor = (tS: number, headingRad = 0, what = ''): AnchorRecord => ({
  id: ulid(),
  tS,
  headingRad,
  what,
});

/** The moments at which the true heading is known: typed, picked on the chart, or from a file. */
export function AnchorFields({
  anchors,
  doubled,
  onChange,
}: {
  anchors: readonly AnchorRecord[];
  /** Two stand at nearly the same moment. */
  doubled: boolean;
  /** A change of what stands now. */
  onChange(update: (now: AnchorRecord[]) => AnchorRecord[]): void;
}) {
  const set = (id: string, part: Partial<AnchorRecord>) =>
    onChange((now) => now.map((one) => (one.id === id ? { ...one, ...part } : one)));
  return (
    <section aria-label="Anchors" className={styles.file}>
      <h2>Where is the true heading known?</h2>
      {anchors.map((anchor, i) => (
        <div key={anchor.id} className={own.anchor}>
          <ValueField
            field={ANCHOR.fields.tS}
            label={`Anchor ${i + 1} at`}
            value={anchor.tS}
            onChange={(tS) => set(anchor.id, { tS })}
          />
          <ValueField
            field={ANCHOR.fields.headingRad}
            value={anchor.headingRad}
            onChange={(headingRad) => set(anchor.id, { headingRad })}
          />
          <TextField
            label="Known by"
            value={anchor.what}
            maxLength={40}
            onChange={(what) => set(anchor.id, { what })}
          />
          <Button
            look="bare"
            aria-label={`Remove anchor ${i + 1}`}
            onClick={() => onChange((now) => now.filter(({ id }) => id !== anchor.id))}
          >
            Remove
          </Button>
        </div>
      ))}
      <div className={styles.actions}>
        <Button
          onClick={() => onChange((now) => [...now, newAnchor((now.at(-1)?.tS ?? 0) + NEXT_S)])}
        >
          + Anchor
        </Button>
        <span className="faint">Or click on the chart at that moment.</span>
      </div>
      {doubled && (
        <Notice tone="careful">
          Two anchors stand at nearly the same moment: change the time of one.
        </Notice>
      )}
      <TrialsFile
        label="Anchors (CSV)"
        kind={ANCHOR}
        onTake={(rows) =>
          onChange(() => rows.map(({ tS, headingRad, what }) => newAnchor(tS, headingRad, what)))
        }
      />
    </section>
  );
}
