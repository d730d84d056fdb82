import { useState } from 'react';
import type { Robot } from '../../../core/robot/robot';
import { verdictAt } from '../../../core/tuning/atSpeeds';
import type { TunedId } from '../../../core/robot/tunedIds';
import { gainText } from '../../../core/control/tuned';
import { Table } from '../../../ui/Table';
import { AskSimulator } from './AskSimulator';
import { useSpeeds } from './useGains';

interface Props {
  controller: TunedId;
  /** The robot as it was measured. */
  fitted: Robot;
  speed: number;
  /** The gain that is in the field now. */
  gain: number;
}

/** What speed does to the same gain: slower and faster on the simulator, when it is asked. */
export function AtSpeeds({ controller, fitted, speed, gain }: Props) {
  const [isAsked, setAsked] = useState(false);
  const found = useSpeeds({ robot: fitted, controller, speed }, isAsked);
  return (
    <AskSimulator
      summary="What speed does to it"
      waiting="Trying speeds on the simulator …"
      found={found}
      onAsked={setAsked}
    >
      {({ speeds, sentence }) => (
        <>
          <p data-testid="at-speeds">{sentence}</p>
          <Table
            label="Gains at each speed"
            rows={speeds}
            keyOf={({ said }) => said}
            columns={[
              { title: 'At', head: true, cell: ({ said }) => said },
              {
                title: 'Good gains',
                cell: ({ good }) =>
                  good === null
                    ? 'none'
                    : `${gainText(controller, good.from)} to ${gainText(controller, good.to)}`,
              },
              {
                title: `${gainText(controller, gain)} is`,
                cell: (at) => verdictAt(at, gain),
              },
            ]}
          />
        </>
      )}
    </AskSimulator>
  );
}
