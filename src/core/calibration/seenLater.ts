import { isA } from '../devices/ofRobot';
import type { Robot } from '../robot/robot';

/** A robot whose light sensors see a line so much later as it drives forwards: they sit so far behind where they did. */
export const seenLaterBy = (robot: Robot, lateM: number): Robot => ({
  ...robot,
  units: robot.units.map((unit) =>
    isA(unit, 'light sensor')
      ? { ...unit, place: { ...unit.place, aheadM: unit.place.aheadM - lateM } }
      : unit,
  ),
});
