import { PART, POSE, WINDOW } from '../../../core/table/description';
import type { Mission, MissionPart, Table } from '../../../core/table/table';
import { Button } from '../../../ui/Button';
import { F } from './courseForm';
import styles from './TableStation.module.css';

interface Props {
  /** Where the mission stands in the record. */
  of: string;
  mission: Mission;
  table: Table;
  onChange(mission: Mission): void;
}

const MOST_PARTS = 10;

/** A name that no other part has. */
function freeName(parts: readonly MissionPart[], n = parts.length + 1): string {
  const name = `part ${n}`;
  return parts.some((one) => one.name === name) ? freeName(parts, n + 1) : name;
}

/** What a mission is scored by, where that is done in parts: each with its points, and its own place where it has one. */
export function MissionParts({ of, mission, table, onChange }: Props) {
  const { parts } = mission;
  const withParts = (changed: MissionPart[]) => onChange({ ...mission, parts: changed });
  const xM = { ...POSE.xM, min: 0, max: table.widthM };
  const yM = { ...POSE.yM, min: 0, max: table.heightM };
  return (
    <section aria-label={`Parts of the ${mission.name}`} className={styles.parts}>
      {parts.map((part, i) => {
        const isElsewhere = part.pose !== undefined;
        const { pose: _pose, window: _window, ...here } = part;
        return (
          <div key={i} className={styles.part}>
            <F.Values of={`${of}.parts.${i}`} fields={PART} />
            {isElsewhere && (
              <>
                <F.Values of={`${of}.parts.${i}.pose`} fields={{ ...POSE, xM, yM }} />
                <F.Values of={`${of}.parts.${i}.window`} fields={WINDOW} />
              </>
            )}
            <div className={styles.partActions}>
              <Button
                look="bare"
                onClick={() =>
                  withParts(
                    parts.with(
                      i,
                      isElsewhere
                        ? here
                        : { ...part, pose: { ...mission.pose }, window: { ...mission.window } },
                    ),
                  )
                }
              >
                {isElsewhere ? 'same place as the mission' : 'another place'}
              </Button>
              <Button look="bare" onClick={() => withParts(parts.toSpliced(i, 1))}>
                Take {part.name.trim() === '' ? 'this part' : part.name} away
              </Button>
            </div>
          </div>
        );
      })}
      <Button
        disabled={parts.length >= MOST_PARTS}
        onClick={() => withParts([...parts, { name: freeName(parts), points: 10, pieces: 1 }])}
      >
        + Part
      </Button>
    </section>
  );
}
