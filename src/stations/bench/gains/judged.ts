import { calibrationFromGain } from '../../../core/calibration/fromGain';
import type { Robot } from '../../../core/robot/robot';
import { SHOWN } from '../../../core/control/tuned';
import { dampingStudy } from '../../../core/tuning/damping';
import { delayOf } from '../../../core/tuning/delay';
import type { GoodGains } from '../../../core/tuning/firstGain';
import { gainStudy } from '../../../core/tuning/gainStudy';
import type { GainTrials } from '../../../formats/benchRecords';
import { notAside } from '../trials/openedList';

/** What the simulator says of it; what is left out it was not asked. */
interface Simulated {
  good?: GoodGains | null | undefined;
  holds?: { slowest: number; fastest: number } | null;
}

/** A gain that was rounded is still the same one. */
const isSame = (a: number, b: number): boolean => Math.abs(a - b) <= 0.005 * Math.abs(b);

/** At which speed the controller of a list is tried. */
export const triedSpeed = ({ controller, speeds }: GainTrials['conditions']): number =>
  speeds[controller] ?? SHOWN[controller].speeds.usual;

/**
 * What the gains of a list say of the controller and the speed that are tried now, and what is to be computed with.
 *
 * @param fitted the robot as it was measured
 */
export function judgedGains(
  { conditions, trials }: Pick<GainTrials, 'conditions' | 'trials'>,
  fitted: Robot,
  { good, holds = null }: Simulated = {},
) {
  const { controller } = conditions;
  const { usual } = SHOWN[controller].speeds;
  const speed = triedSpeed(conditions);
  const used = notAside(trials).filter(
    (one) => one.controller === controller && isSame(one.speed ?? usual, speed),
  );
  const looks = used.filter(({ damping }) => damping === null);
  const study = gainStudy(controller, looks, good);
  const damped = used.flatMap(({ gain, damping }) =>
    damping !== null && study !== null && isSame(gain, study.gain) ? [damping] : [],
  );
  const second = study?.isFound
    ? dampingStudy(controller, study.gain, delayOf(fitted, controller), damped)
    : null;
  const tried = { controller, robot: fitted, speed, holds, damping: second };
  return {
    used,
    study,
    /** What is tuned second; null while the gain is not found. */
    second,
    hasSecond: damped.length > 0,
    value: study && calibrationFromGain(study, looks, tried),
  };
}
