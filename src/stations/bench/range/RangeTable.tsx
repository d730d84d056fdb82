import { voltsText } from '../../../core/sensing/voltLaw';
import { benchLength, headingText } from '../../../core/text/quantities';
import type { RangeTrialRecord } from '../../../formats/benchRecords';
import { FoldedTable } from '../trials/TrialParts';

interface Props {
  trials: readonly RangeTrialRecord[];
  onSetAside(trial: RangeTrialRecord): void;
  onTakeBack(trial: RangeTrialRecord): void;
}

function readText({ readingM, readingV, turnedRad }: RangeTrialRecord): string {
  const read =
    readingV !== null
      ? voltsText(readingV)
      : readingM === null
        ? 'no echo'
        : benchLength(readingM, 1);
  return turnedRad === 0 ? read : `${read}, turned by ${headingText(turnedRad)}`;
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
        cell: ({ trial }) => readText(trial),
      },
    ]}
  />
);
