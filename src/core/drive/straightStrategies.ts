import { watching } from '../control/controller';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import { timeoutS } from '../control/settings';
import { expectedStraightS, straight } from '../control/straight';
import type { StraightStrategy } from '../control/straight/steering';
import { radiansFromDegrees } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../simulate/floor';
import { createMachine } from '../machine/machine';
import { mean, sampleSd } from '../stats/moments';

/** The robot sets off so far to the left of where it should: what the turn before left over. */
export const TURNED_OFF_RAD = radiansFromDegrees(2);
/** A wheel is held for so long. */
const HELD_S = 0.2;
/** The right motor turns by so much less than it is told. */
const WEAK = 0.95;
const MEASURED_AFTER_S = 0.4;

/** A way of driving straight. */
export interface StraightWay {
  id: 'absolute' | 'leg-start' | 'balance' | 'open-loop';
  /** What a program of it does. */
  title: string;
  /** Its steering, for a leg that sets off by so much to the left of the plan. */
  keep(gains: StraightGains, setOffRad: number): StraightStrategy;
}

export interface StraightGains {
  headingMPerSPerRad: number;
  balancePerS: number;
}

export const STRAIGHT_WAYS: readonly StraightWay[] = [
  {
    id: 'absolute',
    title: 'holds the plan’s heading',
    // The reading counts from the start: where the robot stands too far left, the plan lies to its right.
    keep: ({ headingMPerSPerRad }, setOffRad) => ({
      strategy: 'heading-hold',
      gainMPerSPerRad: headingMPerSPerRad,
      headingRad: -setOffRad,
    }),
  },
  {
    id: 'leg-start',
    title: 'zeroes, then holds its heading',
    keep: ({ headingMPerSPerRad }) => ({
      strategy: 'heading-hold',
      gainMPerSPerRad: headingMPerSPerRad,
      headingRad: null,
    }),
  },
  {
    id: 'balance',
    title: 'keeps its encoders alike',
    keep: ({ balancePerS }) => ({
      strategy: 'encoder-balance',
      gainPerS: balancePerS,
      differenceM: null,
    }),
  },
  { id: 'open-loop', title: 'corrects nothing', keep: () => ({ strategy: 'open-loop' }) },
];

/** What may happen on the way. */
export interface Mishap {
  id: 'nothing' | 'weak-motor' | 'push' | 'turned-off';
  title: string;
  setOffRad: number;
  /** What becomes of the wheels' speeds, in the middle of the drive or all along. */
  happens(wheels: { leftMPerS: number; rightMPerS: number }, sinceMiddleS: number): void;
}

const nothing = () => undefined;

export const MISHAPS: readonly Mishap[] = [
  { id: 'nothing', title: 'as it is', setOffRad: 0, happens: nothing },
  {
    id: 'weak-motor',
    title: 'a weak motor',
    setOffRad: 0,
    happens: (wheels) => {
      wheels.rightMPerS *= WEAK;
    },
  },
  {
    id: 'push',
    title: 'a push in the middle',
    setOffRad: 0,
    happens: (wheels, sinceMiddleS) => {
      if (sinceMiddleS >= 0 && sinceMiddleS < HELD_S) wheels.leftMPerS = 0;
    },
  },
  {
    id: 'turned-off',
    title: 'set off 2° to the left',
    setOffRad: TURNED_OFF_RAD,
    happens: nothing,
  },
];

/** What a way of driving straight comes to under a mishap; to the left positive. */
export interface StraightOutcome {
  way: StraightWay['id'];
  mishap: Mishap['id'];
  timeS: number;
  sidewaysM: number;
  sidewaysSdM: number;
  headingRad: number;
  /** Of the first run: how far along the plan, and how far to its left. */
  path: { alongM: number; leftM: number }[];
}

interface Drive {
  distanceM: number;
  speedMPerS: number;
  gains: StraightGains;
}

/** One drive of a way under a mishap. */
function driveOnce(
  robot: Robot,
  { distanceM, speedMPerS, gains }: Drive,
  way: StraightWay,
  mishap: Mishap,
  seed: number,
  run: number,
) {
  const start = { ...FLOOR_MIDDLE, headingRad: mishap.setOffRad };
  const machine = createMachine(robot, OPEN_FLOOR, start, seed, run);
  const expectedS = expectedStraightS(distanceM, speedMPerS, robot);
  const motion = straight(
    {
      distanceM,
      speedMPerS,
      keep: way.keep(gains, mishap.setOffRad),
      timeoutS: timeoutS(expectedS),
    },
    robot,
  );
  const startS = machine.readings.timeS;
  const disturbed = watching(motion, (now, wheels) =>
    mishap.happens(wheels, now.timeS - startS - expectedS / 2),
  );
  const path: StraightOutcome['path'] = [];
  const note = () => {
    const { xM, yM } = machine.pose;
    path.push({ alongM: xM - FLOOR_MIDDLE.xM, leftM: yM - FLOOR_MIDDLE.yM });
  };
  note();
  drive(machine, disturbed, note);
  const timeS = machine.readings.timeS - startS;
  drive(machine, rest(MEASURED_AFTER_S), note);
  return { timeS, headingRad: machine.pose.headingRad, path };
}

/**
 * The ways of driving straight side by side on a robot, each under each mishap: where it ends beside the plan, how
 * far apart its ends lie, which way it faces, and how long it takes.
 */
export function straightStrategies(
  robot: Robot,
  wanted: Drive,
  runs: number,
  seed: number,
): StraightOutcome[] {
  return STRAIGHT_WAYS.flatMap((way) =>
    MISHAPS.map((mishap): StraightOutcome => {
      const all = Array.from({ length: runs }, (_, run) =>
        driveOnce(robot, wanted, way, mishap, seed, run),
      );
      const sideways = all.map(({ path }) => path.at(-1)?.leftM ?? 0);
      return {
        way: way.id,
        mishap: mishap.id,
        timeS: mean(all.map(({ timeS }) => timeS)),
        sidewaysM: mean(sideways),
        sidewaysSdM: sampleSd(sideways),
        headingRad: mean(all.map(({ headingRad }) => headingRad)),
        path: all[0]?.path ?? [],
      };
    }),
  );
}
