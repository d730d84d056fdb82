import { useState } from 'react';
import type { Robot } from '../../../core/robot';
import { benchLength, number } from '../../../core/text/quantities';
import { gainText, type TunedId } from '../../../core/tuning/controllers/shown';
import { reachOf } from '../../../core/tuning/mounting';
import { Notice } from '../../../ui/Notice';
import { Table } from '../../../ui/Table';
import { useMounts } from './useGains';

interface Props {
  controller: TunedId;
  /** The robot as it was measured. */
  fitted: Robot;
}

/** Where to mount the sensor that looks at the wall or the line: each place on the simulator, when it is asked. */
export function MountPlaces({ controller, fitted }: Props) {
  const [isOpen, setOpen] = useState(false);
  const { answer, problem } = useMounts(fitted, controller, isOpen);
  return (
    <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary>Where to mount the sensor</summary>
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {answer === null && problem === null && <p role="status">Trying places on the simulator …</p>}
      {answer !== null && (
        <>
          <p data-testid="mount">
            <strong>{answer.sentences.found}</strong> {answer.sentences.means}{' '}
            {answer.sentences.next}
          </p>
          <Table
            label="Places of the sensor"
            rows={answer.mounts}
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
    </details>
  );
}
