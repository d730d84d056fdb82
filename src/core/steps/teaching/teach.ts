import { columnsOfDevices } from '../../devices/columns';
import type { Robot } from '../../robot/robot';
import { ANGLE_UNITS } from '../../program/gain';
import { headingFromRaw, readingFromRaw } from '../../program/fromRaw';
import { rawHeading } from '../../program/rawHeading';
import { rawReading, rawText, type RawReading } from '../../program/rawReading';
import type { Step } from '../descriptions';
import { stepSchema } from '../step';
import type { Taught } from './taught';

/** What is taught, by which robot, whose heading reads zero at this heading on the table. */
export interface Teaching {
  taught: Taught<Step>;
  robot: Robot;
  zeroRad: number;
}

/** A reading of it as the robot's own small screen shows it. */
export const shownOf = (
  { taught: { of }, robot, zeroRad }: Teaching,
  reading: number,
): RawReading =>
  of === 'heading'
    ? rawHeading(robot, reading - zeroRad)
    : rawReading(of.unit, of.channel, reading, robot);

/** The reading, in the core's unit, for a number that the robot's small screen shows. */
export const readingShown = (
  { taught: { of }, robot, zeroRad }: Teaching,
  shown: number,
): number =>
  of === 'heading'
    ? zeroRad + headingFromRaw(robot, shown)
    : readingFromRaw(of.unit, of.channel, shown, robot);

/** In which column of a log it stands, and by which factor from the core's unit; null: its unit is not plugged in. */
export function columnOf({
  taught: { of },
  robot,
}: Teaching): { title: string; factor: number } | null {
  if (of === 'heading') return { title: 'heading_deg', factor: 1 };
  const found = columnsOfDevices(robot).find(
    ({ unit, channel }) => unit.id === of.unit.id && channel.name === of.channel,
  );
  return found === undefined ? null : { title: found.title, factor: found.channel.column.factor };
}

/** The same for a heading in a log, in radians, as the robot's sensor tells it. */
export const headingLogged = ({ robot, zeroRad }: Teaching, rad: number): number =>
  zeroRad + headingFromRaw(robot, rad / ANGLE_UNITS[robot.program.angles].sizeRad);

/** The step for a reading; or why a step cannot have it, in a sentence. */
export function taughtStep(teaching: Teaching, reading: number): Step | string {
  const { success, data } = stepSchema.safeParse(teaching.taught.with(reading));
  return success
    ? data
    : `A step cannot have ${rawText(shownOf(teaching, reading))} here. Place the robot otherwise, or type what it shows.`;
}
