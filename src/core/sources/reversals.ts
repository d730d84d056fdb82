import { calibrationOf } from '../calibration/find';
import { planRoute } from '../course/plan';
import type { Route } from '../course/route';
import { radiansFromDegrees as deg } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { OPEN_FLOOR } from '../simulate/floor';
import { beforeDrives, KICK_SHARE, type Before } from '../simulate/reversals';
import { degrees, errorLength } from '../text/quantities';
import { ofScatter } from './scatters';
import { guess, timesText, type Source } from './source';
import { drivesByEncoders } from './uses';

/** What motors and gears may have in play, m at the wheel. */
const PLAY_M = 0.0015;
/** What a trailing caster kicks by at a reversal, where nobody measured it. */
const GUESSED_KICK_RAD = deg(0.5);

const has = (route: Route, robot: Robot, wanted: readonly Before[]): boolean =>
  beforeDrives(planRoute(route, robot, OPEN_FLOOR)).some(
    (before) => before !== null && wanted.includes(before),
  );

/** What comes from driving another way than before. */
export const REVERSALS: readonly Source[] = [
  {
    name: 'play at a reversal',
    level: 'robot',
    measuredBy: 'straight',
    touches: (route, robot) => has(route, robot, ['the other way']),
    doubt: (values) => {
      const play = calibrationOf(values, 'straight')?.play;
      return play === undefined ? guess(PLAY_M) : { sdRobot: play.seM, measured: true };
    },
    figure: ({ measured }) => errorLength(measured.reversal?.playM ?? 0, 1),
    within: (half) => `± ${errorLength(half, 1)}`,
    inRuns({ plan, robot: { measured } }) {
      const before = beforeDrives(plan);
      const playM = measured.reversal?.playM ?? 0;
      return (run) => ({
        lateM: (motion) =>
          before[motion] === 'the other way' && drivesByEncoders(plan[motion]?.step)
            ? -(playM + run.off)
            : 0,
      });
    },
  },
  {
    name: 'kick of the caster',
    level: 'use',
    measuredBy: 'straight',
    touches: (route, robot) =>
      robot.build.trailingCaster && has(route, robot, ['the other way', 'a turn']),
    doubt: (values) => {
      const kick = calibrationOf(values, 'straight')?.kick;
      return kick === undefined ? { ...guess(1), ofScatter: true } : ofScatter(kick.n - 1);
    },
    figure: ({ measured }) => `± ${degrees(measured.reversal?.kickSdRad ?? GUESSED_KICK_RAD, 1)}`,
    within: timesText,
    inRuns({ plan, robot: { measured, build } }) {
      const before = beforeDrives(plan);
      const sdRad = measured.reversal?.kickSdRad ?? GUESSED_KICK_RAD;
      return (run) => {
        const random = run.random('kick of the caster');
        return {
          kickRad(motion) {
            const drivesOn = before[motion];
            if (drivesOn == null || !build.trailingCaster) return 0;
            return KICK_SHARE[drivesOn] * run.times * sdRad * Math.exp(run.off) * random.normal();
          },
        };
      };
    },
  },
];
