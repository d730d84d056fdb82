import { benchLength, benchSpeed, errorLength, headingText } from '../../../core/text/quantities';
import type { StraightTrialRecord } from '../../../formats/benchRecords';
import { FoldedTable } from '../TrialParts';

interface Props {
  trials: readonly StraightTrialRecord[];
  onSetAside(trial: StraightTrialRecord): void;
  onTakeBack(trial: StraightTrialRecord): void;
}

/** The drives as they were made, the newest first. */
export const StraightTable = ({ trials, onSetAside, onTakeBack }: Props) => (
  <FoldedTable
    label="Drives"
    what="drive"
    {...{ trials, onSetAside, onTakeBack }}
    columns={[
      {
        title: 'Told',
        number: true,
        sortBy: ({ trial }) => trial.commandedM,
        cell: ({ trial }) => benchLength(trial.commandedM),
      },
      { title: 'At', number: true, cell: ({ trial }) => benchSpeed(trial.speedMPerS) },
      {
        title: 'Truly',
        number: true,
        sortBy: ({ trial }) => trial.actualM,
        cell: ({ trial }) => errorLength(trial.actualM),
      },
      {
        title: 'To the left',
        number: true,
        cell: ({ trial }) => (trial.sidewaysM === null ? '–' : errorLength(trial.sidewaysM)),
      },
      {
        title: 'Before it',
        cell: ({ trial }) => (trial.afterReversal ? 'the other way' : '–'),
      },
      {
        title: 'Turned',
        number: true,
        cell: ({ trial }) =>
          trial.headingChangeRad === null ? '–' : headingText(trial.headingChangeRad),
      },
    ]}
  />
);
