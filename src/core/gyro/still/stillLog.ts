import { whereRead, type ChannelLog } from '../../channels/log';
import type { StillLog } from './stillCheck';

/** The channels that a still check looks at. */
export const STILL_CHANNELS = [
  'headingRad',
  'rateRadPerS',
  'leftMotorDegrees',
  'rightMotorDegrees',
] as const;

/**
 * A log as the still check wants it: its heading (or else its rate) where that was read, and its motors, by
 * which driving is told from lying still.
 *
 * @returns null for a log with neither heading nor rate
 */
export function stillLogOf(log: ChannelLog): StillLog | null {
  const key = log.columns.headingRad === undefined ? 'rateRadPerS' : 'headingRad';
  const { tS, columns } = whereRead(log, [key]);
  const { headingRad, rateRadPerS, leftMotorDegrees, rightMotorDegrees } = columns;
  const motors = [leftMotorDegrees, rightMotorDegrees].flatMap((angles) => angles ?? []);
  if (headingRad !== undefined) return { kind: 'heading', tS, headingRad, motors };
  if (rateRadPerS !== undefined) return { kind: 'rate', tS, rateRadPerS, motors };
  return null;
}
