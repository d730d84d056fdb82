import { errorLength, headingInList } from '../../../core/text/quantities';
import type { LapRecord } from '../../../formats/benchRecords';
import { AsideButton, FoldedTable } from '../trials/TrialParts';

interface Props {
  laps: readonly LapRecord[];
  onSetAside(lap: LapRecord): void;
  onTakeBack(lap: LapRecord): void;
}

/** The laps as they were driven, the newest first. */
export const LapTable = ({ laps, onSetAside, onTakeBack }: Props) => (
  <FoldedTable
    label="Laps"
    what="lap"
    trials={laps}
    columns={[
      {
        title: 'Driven',
        cell: ({ trial }) =>
          `${trial.direction === 'cw' ? 'clockwise' : 'counter-clockwise'}${trial.driven === 'gyro' ? ', by the gyro' : ''}${trial.goesOn ? ', going on' : ''}`,
      },
      { title: 'Forward', number: true, cell: ({ trial }) => errorLength(trial.xM) },
      { title: 'Left', number: true, cell: ({ trial }) => errorLength(trial.yM) },
      { title: 'Turned over', number: true, cell: ({ trial }) => headingInList(trial.headingRad) },
      {
        title: 'Set aside',
        cell: ({ trial, no }) => (
          <>
            {trial.setAsideReason}{' '}
            <AsideButton
              what={`lap ${no}`}
              isAside={trial.setAsideReason !== null}
              onSetAside={() => onSetAside(trial)}
              onTakeBack={() => onTakeBack(trial)}
            />
          </>
        ),
      },
    ]}
  />
);
