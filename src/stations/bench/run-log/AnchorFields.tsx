import { ulid } from 'ulid';
import type { AnchorRecord } from '../../../formats/benchRecords';
import { readAnchors } from '../../../formats/csv/anchorsCsv';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { NumberField } from '../../../ui/fields/NumberField';
import { TextField } from '../../../ui/fields/TextField';
import { SECONDS, HEADING } from '../../../ui/fields/units';
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
          <NumberField
            label={`Anchor ${i + 1} at`}
            unit={SECONDS}
            min={-1e6}
            max={1e6}
            value={anchor.tS}
            onChange={(tS) => set(anchor.id, { tS })}
          />
          <NumberField
            label="True heading"
            unit={HEADING}
            min={-100_000}
            max={100_000}
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
        what="anchor"
        columns="t_s, true_heading_deg and, if you like, what"
        read={readAnchors}
        onTake={(rows) =>
          onChange(() => rows.map(({ tS, headingRad, what }) => newAnchor(tS, headingRad, what)))
        }
      />
    </section>
  );
}
