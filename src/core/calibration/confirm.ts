import { student975 } from '../stats/student';
import { degreesFromRadians } from '../geometry/angle';
import { counted, number } from '../text/quantities';
import type { TurnsCalibration } from '../calibrationValues/turns';

/** A turn made with the command of a calibration. */
export interface ConfirmationTurn {
  wantedRad: number;
  actualRad: number;
}

/** Where nothing is known of the scatter. */
const UNKNOWN_SD_RAD = 0.035;

/**
 * Whether turns with these commands come right: each within the interval of single turns (95 %, from
 * the scatter of the trials and the uncertainty of the model, here taken as one trial's share).
 */
export function judgeConfirmation(
  turns: TurnsCalibration,
  rateRadPerS: number,
  done: readonly ConfirmationTurn[],
): { within: number; sentence: string } {
  if (done.length === 0) {
    return {
      within: 0,
      sentence: 'Turn three times with these commands and see whether they come right.',
    };
  }
  const group =
    turns.groups.find(({ rates }) =>
      rates.some((rate) => Math.abs(rate / rateRadPerS - 1) < 0.02),
    ) ?? turns.groups[0];
  const n = group?.n ?? 3;
  const degreesOfFreedom = Math.max(1, n - 2);
  const sd = group?.residualSdRad ?? UNKNOWN_SD_RAD;
  const half = student975(degreesOfFreedom) * sd * Math.sqrt(1 + 2 / n);
  const errors = done.map(
    ({ wantedRad, actualRad }) => Math.sign(wantedRad) * (actualRad - wantedRad),
  );
  const within = errors.filter((error) => Math.abs(error) <= half).length;
  const list = errors.map((error) => `${number(degreesFromRadians(error), 1)}°`).join(', ');
  const limit = `${number(degreesFromRadians(half), 1)}°`;
  const sentence =
    within === done.length
      ? `${counted(done.length, 'turn')} with these commands: off by ${list}, all within the expected ± ${limit}. It holds.`
      : `${counted(done.length, 'turn')} with these commands: off by ${list}; ${within} of ${done.length} within the expected ± ${limit}. Something has changed: make three more trials.`;
  return { within, sentence };
}
