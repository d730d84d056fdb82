import { benchLength } from '../text/quantities';
import type { TunedId } from '../robot/tunedIds';
import { gainText } from '../control/tuned';
import type { GoodGains } from './firstGain';

/** Beside the axle: nothing that follows a wall or a line is damped there. */
const BESIDE_M = 0.01;

/**
 * Which gains are good on the simulator.
 *
 * @param aheadM how far ahead of the axle the sensor sits by which it follows something; null: it follows nothing
 */
export function onSimulatorText(
  id: TunedId,
  robotName: string,
  good: GoodGains | null,
  aheadM: number | null,
): string {
  if (good !== null) {
    const { from, to, middle } = good;
    return `On the simulator, with ${robotName} as it was measured, ${gainText(id, from)} to ${gainText(id, to)} are good; ${gainText(id, middle)} is in their middle.`;
  }
  const none = 'On the simulator no gain is good for this robot';
  if (aheadM === null)
    return `${none}: look whether lag and loop in its record are right, or drive slower.`;
  return aheadM < BESIDE_M
    ? `${none}: its sensor sits beside the axle, where nothing damps. Mount it ahead of the axle, or drive slower.`
    : `${none}: its sensor sits ${benchLength(aheadM)} ahead of the axle, and farther ahead it would be damped more. Move it, or drive slower.`;
}

/** Between the good gains and one that is as good there may be so much, for a simulator is not the robot. */
const ALIKE = 1.5;

/**
 * What is to be said where an eye found a gain good that is none on the simulator; nothing where they agree, or the
 * simulator was not asked.
 */
export function disagreement(
  id: TunedId,
  gain: number,
  good: GoodGains | null | undefined,
): string {
  if (good === undefined) return '';
  if (good === null) {
    return ' The simulator knows no good gain for this robot as it was measured: record a trace, and see whether its record is right.';
  }
  const size = Math.abs(gain);
  if (size >= good.from / ALIKE && size <= good.to * ALIKE) return '';
  return ` On the simulator ${gainText(id, good.from)} to ${gainText(id, good.to)} are good, and this is not: record a trace to tell which is right.`;
}
