import { useState } from 'react';
import type { Robot } from '../../../core/robot/robot';
import { benchLength, number } from '../../../core/text/quantities';
import type { TunedId } from '../../../core/robot/tunedIds';
import { gainText } from '../../../core/control/tuned';
import { reachOf } from '../../../core/tuning/mounting';
import { Table } from '../../../ui/Table';
import { AskSimulator } from './AskSimulator';
import { useMounts } from './useGains';

interface Props {
  controller: TunedId;
  /** The robot as it was measured. */
  fitted: Robot;
  speed: number;
}

/** Where to mount the sensor that looks at the wall or the line: each place on the simulator, when it is asked. */
export function MountPlaces({ controller, fitted, speed }: Props) {
  const [isAsked, setAsked] = useState(false);
  const found = useMounts({ robot: fitted, controller, speed }, isAsked);
  return (
    <AskSimulator
      summary="Where to mount the sensor"
      waiting="Trying places on the simulator …"
      found={found}
      onAsked={setAsked}
    >
      {({ mounts, sentences }) => (
        <>
          <p data-testid="mount">
            <strong>{sentences.found}</strong> {sentences.means} {sentences.next}
          </p>
          <Table
            label="Places of the sensor"
            rows={mounts}
            keyOf={({ aheadM }) => String(aheadM)}
            columns={[
              {
                title: 'Ahead of the axle',
                number: true,
                cell: ({ aheadM }) => benchLength(aheadM),
              },
              {
                title: 'Good gains',
                cell: ({ good }) =>
                  good === null
                    ? 'none'
                    : `${gainText(controller, good.from)} to ${gainText(controller, good.to)}`,
              },
              {
                title: 'Strongest over weakest',
                number: true,
                cell: (mount) => (mount.good === null ? '–' : number(reachOf(mount), 0)),
              },
            ]}
          />
        </>
      )}
    </AskSimulator>
  );
}
