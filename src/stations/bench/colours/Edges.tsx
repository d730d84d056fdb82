import { useMemo } from 'react';
import type { ColourStudy } from '../../../core/colourClasses/colourStudy';
import { edgesRead, inARow } from '../../../core/colourClasses/edges';
import { devicesOf } from '../../../core/devices/ofRobot';
import { CROSSING } from '../../../core/light/description';
import { benchSpeed, counted, percent } from '../../../core/text/quantities';
import type { RobotRecord } from '../../../formats/records';

const SPEED_M_PER_S = 0.2;
const SHOWN = 4;

/** What an edge between two colours may be taken for, and how many readings in a row it takes to be sure. */
export function Edges({ study, robot }: { study: ColourStudy; robot: RobotRecord }) {
  const { samples, found } = study;
  const edges = useMemo(
    () => edgesRead(samples, found.confusion.names, found.representation),
    [samples, found],
  );
  const [worst] = edges;
  if (worst === undefined) return null;
  const [sensor] = devicesOf(robot.robot, 'colour sensor');
  const { loopPeriodS } = robot.robot;
  const k = inARow(worst.share, {
    spotM: sensor?.behaviour.spotDiameterM ?? CROSSING.spotM.default ?? 0,
    sensorPeriodS: sensor?.behaviour.periodS ?? loopPeriodS,
    loopPeriodS,
    speedMPerS: SPEED_M_PER_S,
  });
  return (
    <section aria-label="At an edge">
      <h2>At an edge</h2>
      <p>
        Half on one colour and half on another it may read as a third:{' '}
        {edges
          .slice(0, SHOWN)
          .map(
            ({ from, to, third, share }) =>
              `between ${from} and ${to} as ${third} (over ${percent(share)} of the spot’s way)`,
          )
          .join('; ')}
        . At {benchSpeed(SPEED_M_PER_S)} let {counted(k, 'different reading')} in a row say the same
        before it counts, or leave that colour out there.
      </p>
    </section>
  );
}
