import type { Segment } from '../table/table';
import type { Pose } from '../geometry/pose';
import type { RandomStream } from '../stats/random';
import type { Floor } from './underSpot';

/** What there is to be read around a robot. */
export interface SensedWorld {
  /** All that a beam or a bumper can meet where the unit sits. */
  surfaces: readonly Segment[];
  floor: Floor;
  /** The sensor's own chance. */
  random: RandomStream;
  /** How far the motor of an attachment was turned, degrees. */
  readonly attachmentDegrees: number;
}

/**
 * What a unit reads at a moment, by the names of its channels, in the core's unit (metres, share of full scale,
 * 1 for pressed, motor degrees); null for nothing (a lost echo).
 */
export type DeviceReadings = Readonly<Record<string, number | null>>;

/** Reads a unit that sits on a robot at a true pose. */
export type DeviceReader = (pose: Pose, timeS: number) => DeviceReadings;

const NOTHING: DeviceReadings = {};

/** The same reading for as long as the sensor's own period lasts. */
export function oncePerPeriod(periodS: number, read: (pose: Pose) => DeviceReadings): DeviceReader {
  let lastSlot = -1;
  let last = NOTHING;
  return (pose, timeS) => {
    const slot = Math.floor(timeS / periodS + 1e-9);
    if (slot !== lastSlot) {
      lastSlot = slot;
      last = read(pose);
    }
    return last;
  };
}
