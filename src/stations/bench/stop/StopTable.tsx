import { STOPS_BY } from '../../../core/ranging/stopsBy';
import { benchLength, benchSpeed, errorLength } from '../../../core/text/quantities';
import type { StopTrialRecord } from '../../../formats/benchRecords';
import { FoldedTable } from '../trials/TrialParts';

interface Props {
  trials: readonly StopTrialRecord[];
  onSetAside(trial: StopTrialRecord): void;
  onTakeBack(trial: StopTrialRecord): void;
}

/** The stops as they were made, the newest first. */
export const StopTable = ({ trials, onSetAside, onTakeBack }: Props) => (
  <FoldedTable
    label="Stops"
    what="stop"
    {...{ trials, onSetAside, onTakeBack }}
    columns={[
      { title: 'By', cell: ({ trial }) => STOPS_BY[trial.by].title },
      {
        title: 'At',
        number: true,
        sortBy: ({ trial }) => trial.speedMPerS,
        cell: ({ trial }) => benchSpeed(trial.speedMPerS),
      },
      {
        title: 'Told',
        number: true,
        cell: ({ trial }) => (trial.by === 'distance' ? benchLength(trial.thresholdM, 1) : '–'),
      },
      {
        title: 'Stood at',
        number: true,
        cell: ({ trial }) => (trial.by === 'distance' ? benchLength(trial.stopM, 1) : '–'),
      },
      {
        title: 'Drove on',
        number: true,
        sortBy: ({ trial }) => trial.thresholdM - trial.stopM,
        cell: ({ trial }) => errorLength(trial.thresholdM - trial.stopM),
      },
    ]}
  />
);
