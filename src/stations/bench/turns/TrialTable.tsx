import { degreesFromRadians } from '../../../core/geometry/angle';
import { degrees, number } from '../../../core/text/quantities';
import type { TurnTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';
import { AsideButton, FoldedTable } from '../trials/TrialParts';

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
  if (trial.seen === null) return '–';
  const wanted = trial.wantedRad === null ? '' : ` for ${degrees(Math.abs(trial.wantedRad), 0)}`;
  return `${SEEN[trial.seen]}${wanted}${trial.times === 1 ? '' : ', a square'}`;
}

/** The trials as they were made, the newest first; none is ever deleted. */
export const TrialTable = ({ trials, onRepeat, onSetAside, onTakeBack }: Props) => (
  <FoldedTable
    label="Trials"
    what="trial"
    trials={trials}
    columns={[
      {
        title: 'Told',
        sortBy: ({ trial }) => trial.targetRad,
        cell: ({ trial: { targetRad, kind } }) =>
          `${degrees(Math.abs(targetRad), 0)} ${targetRad < 0 ? 'right' : 'left'}${kind === 'pivot' ? ', one wheel' : ''}`,
      },
      {
        title: 'At',
        number: true,
        sortBy: ({ trial }) => trial.rateRadPerS,
        cell: ({ trial }) => `${degrees(trial.rateRadPerS, 0)}/s`,
      },
      {
        title: 'Truly',
        number: true,
        sortBy: ({ trial }) => trial.actualRad,
        cell: ({ trial }) => truly(trial),
      },
      {
        title: 'By',
        cell: ({ trial }) =>
          trial.setAsideReason ??
          `${trial.measuredBy}${trial.readingSdRad === null ? '' : `, ± ${degrees(2 * trial.readingSdRad, 0)}`}${trial.afterDrive === null ? '' : ', after a drive'}`,
      },
      {
        title: 'What to do with it',
        hidden: true,
        cell: ({ trial, no }) => (
          <span className={styles.rowActions}>
            <Button look="bare" aria-label={`Repeat trial ${no}`} onClick={() => onRepeat(trial)}>
              Repeat
            </Button>
            <AsideButton
              what={`trial ${no}`}
              isAside={trial.setAsideReason !== null}
              onSetAside={() => onSetAside(trial)}
              onTakeBack={() => onTakeBack(trial)}
            />
          </span>
        ),
      },
    ]}
  />
);
