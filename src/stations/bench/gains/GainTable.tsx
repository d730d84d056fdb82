import { dampingText, gainText, SHOWN } from '../../../core/control/tuned';
import type { GainTrialRecord } from '../../../formats/benchRecords';
import { AsideButton, FoldedTable } from '../trials/TrialParts';

interface Props {
  trials: readonly GainTrialRecord[];
  onSetAside(trial: GainTrialRecord): void;
  onTakeBack(trial: GainTrialRecord): void;
}

/** How it came back; of what is tuned second, with which damping. */
const lookText = ({ controller, seen, damping }: GainTrialRecord): string =>
  damping === null ? seen : `${damping.seen}, damping ${dampingText(controller, damping.damping)}`;

/** The gains that were tried, the newest first. */
export const GainTable = ({ trials, onSetAside, onTakeBack }: Props) => (
  <FoldedTable
    label="Gains that were tried"
    what="gain"
    trials={trials}
    columns={[
      { title: 'Controller', cell: ({ trial }) => SHOWN[trial.controller].title },
      {
        title: 'Gain',
        number: true,
        cell: ({ trial }) => gainText(trial.controller, trial.gain),
      },
      { title: 'It was', cell: ({ trial }) => lookText(trial) },
      {
        title: 'Known by',
        cell: ({ trial }) => (trial.proposedGainFactor === null ? 'a look' : 'a trace'),
      },
      {
        title: 'Set aside',
        cell: ({ trial, no }) => (
          <>
            {trial.setAsideReason}{' '}
            <AsideButton
              what={`gain ${no}`}
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
