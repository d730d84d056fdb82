import { follow } from '../../control/follow';
import type { Table } from '../../table/table';
import type { Robot } from '../../robot/robot';
import type { ReadingOf } from '../../devices/channel';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../../simulate/floor';
import { WATCHED_S, type Experiment } from '../simulatedTrace';

/** What is kept by turning: a reading, with a gain whose sign turns it towards the target. */
interface Kept {
  of: ReadingOf;
  target: number;
  gainRadPerS: number;
}

/** Following something that lies along the floor, from one end to the other, at a place to the robot's left. */
export function followed(
  { trackM }: Robot,
  { of, target, gainRadPerS }: Kept,
  leftM: number,
  speedMPerS: number,
  laid: (along: Table['walls'][number]) => Partial<Table>,
): Experiment {
  const yM = FLOOR_MIDDLE.yM + leftM;
  const along = { x1M: 0, y1M: yM, x2M: OPEN_FLOOR.widthM, y2M: yM };
  return {
    motion: follow({ of, target, gainRadPerS, speedMPerS, durationS: WATCHED_S }, trackM),
    errorOf(now) {
      const reading = now.reading(of);
      return reading === null ? null : reading - target;
    },
    scene: { table: { ...OPEN_FLOOR, ...laid(along) }, start: FLOOR_MIDDLE },
  };
}
