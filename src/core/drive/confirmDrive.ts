import type { StraightCalibration } from '../calibrationValues/straight';
import { counted, errorLength } from '../text/quantities';

/** A drive made with what a calibration says to tell. */
export interface ConfirmationDrive {
  wantedM: number;
  actualM: number;
}

/** Few trials told the scatter: twice it holds 95 of 100 drives, or a little fewer. */
const SPREADS = 2;

/** How far off a single drive may end and still be as it was measured, m. */
const expectedM = ({ residualSdM, scaleFactorSe }: StraightCalibration, wantedM: number): number =>
  SPREADS * Math.hypot(residualSdM, scaleFactorSe * wantedM);

/**
 * Whether drives with the new wheel size come right: each within what the scatter of the trials and the standard
 * error of the wheel size leave to expect.
 */
export function judgeDrives(
  straight: StraightCalibration,
  done: readonly ConfirmationDrive[],
): { within: number; sentence: string } {
  if (done.length === 0) {
    return { within: 0, sentence: 'Drive both distances with what is to be told now, and see.' };
  }
  const errors = done.map(({ wantedM, actualM }) => actualM - wantedM);
  const limits = done.map(({ wantedM }) => expectedM(straight, wantedM));
  const within = errors.filter((error, i) => Math.abs(error) <= (limits[i] ?? 0)).length;
  const list = errors.map((error) => errorLength(error, 1)).join(', ');
  const limit = `± ${limits.map((one) => errorLength(one, 1)).join(', ± ')}`;
  const made = `${counted(done.length, 'drive')} with the new wheel size: off by ${list}`;
  return {
    within,
    sentence:
      within === done.length
        ? `${made}, within the expected ${limit}. It holds.`
        : `${made}; ${within} of ${done.length} within the expected ${limit}. Something has changed: make three more drives.`,
  };
}
