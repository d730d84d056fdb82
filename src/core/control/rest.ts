import { halt, type Controller } from './controller';
import { SETTLE_S } from './settings';

/** A loop's period is no whole number of binary fractions. */
const ROUNDING_S = 1e-9;

/** Stand still for a while. */
export function rest(durationS: number): Controller {
  let until: number | null = null;
  return (now, wheels) => {
    until ??= now.timeS + durationS - ROUNDING_S;
    halt(wheels);
    return now.timeS < until ? 'go on' : 'done';
  };
}

/** A motion, and the time in which the robot comes to rest after it. */
export function settled(motion: Controller): Controller {
  let coming: Controller | null = null;
  return (now, wheels) => {
    if (coming === null) {
      const said = motion(now, wheels);
      if (said !== 'done') return said;
      coming = rest(SETTLE_S);
    }
    return coming(now, wheels);
  };
}
