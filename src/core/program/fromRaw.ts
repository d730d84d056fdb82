import type { Device } from '../devices/device';
import type { Robot } from '../robot/robot';
import { distanceAtVolts } from '../sensing/voltLaw';
import { ANGLE_UNITS } from './gain';
import { rawReading } from './rawReading';

/**
 * What the core reads where a unit of a robot shows a number, in its own counting (`rawReading`).
 *
 * @returns metres, a share of full scale, or degrees of an attachment
 */
export function readingFromRaw(unit: Device, channel: string, shown: number, robot: Robot): number {
  const { law } = robot.measured.volts ?? {};
  if (channel === 'distance' && unit.raw?.reading === 'volts' && law !== undefined)
    return distanceAtVolts(law, shown);
  // All else is told in proportion, perhaps from the other end.
  const at = (value: number) => rawReading(unit, channel, value, robot).value;
  return (shown - at(0)) / (at(1) - at(0));
}

/** The heading since its sensor read zero, in radians, left positive, where a robot's own program shows a number. */
export const headingFromRaw = ({ program, signs }: Robot, shown: number): number =>
  (shown * ANGLE_UNITS[program.angles].sizeRad) / (signs.heading * program.headingScale);
