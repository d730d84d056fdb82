import type { Robot } from '../robot/robot';
import { shortNumber } from '../text/quantities';
import { TUNED_IDS } from '../robot/tunedIds';
import { gainText, SHOWN } from '../control/tuned';
import { tunedInProgram } from './tunedInProgram';

const DIGITS = 3;

/** The tuned gains that no step of a route tells by itself, for whoever types a program; null where there are none. */
export function gainsToType(robot: Robot): string | null {
  const told = TUNED_IDS.flatMap((id) => {
    const gain = robot.measured.gains[id];
    if (gain === undefined || SHOWN[id].holdsRoutes) return [];
    const own = tunedInProgram(robot, id, gain);
    const inProgram =
      own === null
        ? ''
        : ` (${shortNumber(Number(own.perUnit.toPrecision(DIGITS)), 4)} ${own.unit})`;
    return [`${SHOWN[id].title.toLowerCase()} ${gainText(id, gain)}${inProgram}`];
  });
  return told.length === 0 ? null : `Gains that were tuned: ${told.join('; ')}.`;
}
