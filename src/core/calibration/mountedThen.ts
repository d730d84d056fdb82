import type { RobotPart } from './parts';
import type { CalibrationValue } from './calibration';
import { kindOfCalibration } from './registry';
import { listed } from '../text/listed';

/** What rests on these is changed by the weight and the drag of what is mounted. */
const DRIVES: readonly RobotPart[] = ['wheels and track', 'motors'];

const called = (mounted: string | null): string => (mounted === null ? 'nothing' : `“${mounted}”`);

/**
 * Which of the calibrations that a route is computed with were measured with something else mounted than it drives with.
 *
 * @returns a sentence; null where none was, or nobody noted it
 */
export function mountedThen(
  values: readonly CalibrationValue[],
  { mounted }: { mounted: string | null },
): string | null {
  const others = values.filter(
    (value) =>
      value.mounted !== undefined &&
      value.mounted !== mounted &&
      kindOfCalibration(value.kind).restsOn.some((part) => DRIVES.includes(part)),
  );
  if (others.length === 0) return null;
  const told = others.map(
    (value) => `${kindOfCalibration(value.kind).name} (${called(value.mounted ?? null)})`,
  );
  return `Measured with something else mounted: ${listed(told)}. This route drives with ${called(mounted)} mounted: confirm them so.`;
}
