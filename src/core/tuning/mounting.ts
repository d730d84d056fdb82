import type { Robot } from '../robot/robot';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { benchLength, number } from '../text/quantities';
import type { TunedController } from './controllers/controller';
import { SHOWN } from '../control/tuned';
import { firstGain, type GoodGains } from './firstGain';

/** A place for the sensor, ahead of the axle, and the gains that are good there. */
export interface Mount {
  aheadM: number;
  good: GoodGains | null;
}

export interface MountStudy {
  mounts: Mount[];
  sentences: ThreeSentences;
}

/** Beside the driven wheels, and ahead of them. */
const PLACES_M = [0, 0.03, 0.06, 0.09, 0.12];

/** The same robot with the unit that looks at the wall or the line moved along it. */
const movedTo = (robot: Robot, unitId: string, aheadM: number): Robot => ({
  ...robot,
  units: robot.units.map((unit) =>
    unit.id === unitId ? { ...unit, place: { ...unit.place, aheadM } } : unit,
  ),
});

/**
 * Where to mount the sensor that follows a wall or a line: for each place the gains that bring the robot back on the
 * simulator. Ahead of the axle the sensor sees a turn at once, which damps; beside it nothing does.
 *
 * Source: as `judgeFollowing`: damping ω·a/(2v) grows with the distance a ahead of the axle.
 * @returns null for a controller that follows nothing by a sensor, and a robot that lacks it
 */
export function mountsOf(
  controller: TunedController,
  robot: Robot,
  speed?: number,
): MountStudy | null {
  const unit = SHOWN[controller.id].sensor?.(robot) ?? null;
  if (unit === null) return null;
  const mounts = PLACES_M.map((aheadM) => ({
    aheadM,
    good: firstGain(controller, movedTo(robot, unit.id, aheadM), speed),
  }));
  return { mounts, sentences: mountSentences(mounts, unit.place.aheadM) };
}

/** The strongest of the good gains over the weakest; 1 where none is. */
export const reachOf = ({ good }: Mount): number => (good === null ? 1 : good.to / good.from);

/** A place within this of the widest reach is as good. */
const AS_GOOD = 0.7;

/** Which place to take, in three sentences. */
export function mountSentences(mounts: readonly Mount[], nowM: number): ThreeSentences {
  const best = Math.max(...mounts.map(reachOf));
  const chosen = mounts.find((mount) => reachOf(mount) >= AS_GOOD * best);
  const none = mounts.filter(({ good }) => good === null).map(({ aheadM }) => aheadM);
  if (chosen === undefined || best <= 1) {
    return {
      found: 'On the simulator no place of this sensor has a gain that holds.',
      means: 'What it sees is too noisy or too late for how fast this robot turns.',
      next: 'Drive slower, or take another sensor for it.',
    };
  }
  const farthest = Math.max(...none);
  const isFine = Math.abs(chosen.aheadM - nowM) < 0.02 || nowM > chosen.aheadM;
  return {
    found: `Mounted ${benchLength(chosen.aheadM)} ahead of the axle it forgives most: its strongest good gain is ${number(reachOf(chosen))} times its weakest.`,
    means:
      none.length === 0
        ? 'Every place that was tried has gains that hold.'
        : farthest === 0
          ? 'Beside the driven wheels no gain holds: the robot weaves.'
          : `Up to ${benchLength(farthest)} ahead no gain holds: the robot weaves.`,
    next: isFine
      ? `It sits ${benchLength(nowM)} ahead: leave it there.`
      : `It sits ${benchLength(nowM)} ahead: move it to ${benchLength(chosen.aheadM)} or more.`,
  };
}
