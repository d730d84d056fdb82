import { degreesFromRadians } from '../../../core/geometry/angle';
import { degrees, number } from '../../../core/text/quantities';
import type { TurnTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';
import { AsideButton, FoldedTable } from '../TrialParts';

interface Props {
  trials: readonly TurnTrialRecord[];
  onRepeat(trial: TurnTrialRecord): void;
  onSetAside(trial: TurnTrialRecord): void;
  onTakeBack(trial: TurnTrialRecord): void;
}

const SEEN = { under: 'not far enough', right: 'looked right', over: 'too far' } as const;

function truly(trial: TurnTrialRecord): string {
  if (trial.actualRad !== null) {
    return `${number(Math.abs(degreesFromRadians(trial.actualRad)), 1)}°`;
  }
  return trial.seen === null ? '–' : SEEN[trial.seen];
}

/** The trials as they were made, the newest first; none is ever deleted. */
export function TrialTable({ trials, onRepeat, onSetAside, onTakeBack }: Props) {
  return (
    <FoldedTable label="Trials" count={trials.length} what="trial">
      <thead>
        <tr>
          <th className={styles.number}>No.</th>
          <th>Told</th>
          <th className={styles.number}>At</th>
          <th className={styles.number}>Truly</th>
          <th>By</th>
          <th>
            <span className="visually-hidden">What to do with it</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {trials
          .map((trial, i) => ({ trial, no: i + 1 }))
          .toReversed()
          .map(({ trial, no }) => (
            <tr key={trial.id} className={trial.setAsideReason === null ? '' : styles.aside}>
              <td className={styles.number}>{no}</td>
              <td>
                {degrees(Math.abs(trial.targetRad), 0)} {trial.targetRad < 0 ? 'right' : 'left'}
                {trial.kind === 'pivot' && ', one wheel'}
              </td>
              <td className={styles.number}>{degrees(trial.rateRadPerS, 0)}/s</td>
              <td className={styles.number}>{truly(trial)}</td>
              <td>{trial.setAsideReason ?? trial.measuredBy}</td>
              <td>
                <span className={styles.rowActions}>
                  <Button
                    look="bare"
                    aria-label={`Repeat trial ${no}`}
                    onClick={() => onRepeat(trial)}
                  >
                    Repeat
                  </Button>
                  <AsideButton
                    what={`trial ${no}`}
                    isAside={trial.setAsideReason !== null}
                    onSetAside={() => onSetAside(trial)}
                    onTakeBack={() => onTakeBack(trial)}
                  />
                </span>
              </td>
            </tr>
          ))}
      </tbody>
    </FoldedTable>
  );
}
