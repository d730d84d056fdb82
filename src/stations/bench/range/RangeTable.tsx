import { benchLength } from '../../../core/text/quantities';
import type { RangeTrialRecord } from '../../../formats/benchRecords';
import { FoldedTable } from '../TrialParts';

interface Props {
  trials: readonly RangeTrialRecord[];
  onSetAside(trial: RangeTrialRecord): void;
  onTakeBack(trial: RangeTrialRecord): void;
}

/** The readings as they were taken, the newest first. */
export const RangeTable = ({ trials, onSetAside, onTakeBack }: Props) => (
  <FoldedTable
    label="Readings"
    what="reading"
    {...{ trials, onSetAside, onTakeBack }}
    columns={[
      { title: 'Unit', sortBy: ({ trial }) => trial.unit, cell: ({ trial }) => trial.unit },
      {
        title: 'By the tape',
        number: true,
        sortBy: ({ trial }) => trial.trueM,
        cell: ({ trial }) => benchLength(trial.trueM, 1),
      },
      {
        title: 'Read',
        number: true,
        cell: ({ trial }) => (trial.readingM === null ? 'no echo' : benchLength(trial.readingM, 1)),
      },
    ]}
  />
);
