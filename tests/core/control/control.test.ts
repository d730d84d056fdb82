import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { approach } from '../../../src/core/control/approach';
import type { Controller } from '../../../src/core/control/controller';
import { drive } from '../../../src/core/control/drive';
import { rest, settled } from '../../../src/core/control/rest';
import { CREEP_M_PER_S, SETTLE_S, timeoutS } from '../../../src/core/control/settings';
import { expectedStraightS, straight } from '../../../src/core/control/straight';
import type { StraightStrategy } from '../../../src/core/control/straight/steering';
import { expectedTurnS, turn, turnTimeoutS } from '../../../src/core/control/turn';
import { turnStrategySchema, type TurnStrategy } from '../../../src/core/control/turn/schema';
import { robotSchema } from '../../../src/core/robot/robot';
import { deg, withoutDevices } from '../support';
import { perfectMachine } from './perfectMachine';

const TRACK = 0.13;
const robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: TRACK,
  loopPeriodS: 0.001,
  distance: {},
});
const run = (machine: ReturnType<typeof perfectMachine>, controller: Controller) => {
  let loops = 0;
  const said = drive(machine, controller, () => (loops += 1));
  return { said, loops };
};
const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const either = fc.constantFrom(-1, 1);

const STRATEGIES: StraightStrategy[] = [
  { strategy: 'heading-hold', gainMPerSPerRad: 1.2, headingRad: 0 },
  { strategy: 'heading-hold', gainMPerSPerRad: 1.2, headingRad: null },
  { strategy: 'encoder-balance', gainPerS: 5, differenceM: null },
  { strategy: 'encoder-balance', gainPerS: 5, differenceM: 0 },
  { strategy: 'open-loop' },
];

describe('a straight', () => {
  it.each(STRATEGIES)('ends at the plan, forwards and back ($strategy)', (keep) => {
    fc.assert(
      fc.property(double(0.02, 1.5), either, double(0.05, 0.5), (size, sign, speedMPerS) => {
        const machine = perfectMachine({ trackM: TRACK });
        const distanceM = sign * size;
        const limit = timeoutS(expectedStraightS(distanceM, speedMPerS, robot));
        const motion = straight({ distanceM, speedMPerS, keep, timeoutS: limit }, robot);
        expect(run(machine, motion).said).toBe('done');
        expect(Math.abs(machine.pose.xM - distanceM)).toBeLessThan(0.001);
        expect(Math.abs(machine.pose.yM)).toBeLessThan(0.001);
        expect(Math.abs(machine.pose.headingRad)).toBeLessThan(deg(0.1));
        expect(machine.told).toEqual({ leftMPerS: 0, rightMPerS: 0 });
      }),
      { numRuns: 25 },
    );
  });

  const oneMetre = (keep: StraightStrategy) =>
    straight({ distanceM: 1, speedMPerS: 0.2, keep, timeoutS: 20 }, robot);

  it('takes out what the planned heading wants, or keeps what it stands at', () => {
    const turned = (keep: StraightStrategy) => {
      const machine = perfectMachine({ trackM: TRACK, headingRad: deg(3) });
      run(machine, oneMetre(keep));
      return machine.pose.headingRad;
    };
    const hold = { strategy: 'heading-hold', gainMPerSPerRad: 1.2 } as const;
    expect(turned({ ...hold, headingRad: 0 })).toBeCloseTo(0, 4);
    expect(turned({ ...hold, headingRad: null })).toBeCloseTo(deg(3), 6);
    expect(turned({ strategy: 'open-loop' })).toBeCloseTo(deg(3), 6);
  });

  it('balanced by the encoders, takes a difference over from before, or begins anew', () => {
    const turned = (differenceM: number | null) => {
      const machine = perfectMachine({ trackM: TRACK, rightM: 0.005 });
      run(machine, oneMetre({ strategy: 'encoder-balance', gainPerS: 5, differenceM }));
      return machine.pose.headingRad;
    };
    // The right wheel is 5 mm ahead: to take that out is to turn right by 5 mm over the track.
    expect(turned(0)).toBeCloseTo(-0.005 / TRACK, 3);
    expect(turned(null)).toBeCloseTo(0, 6);
  });

  it('never commands more than its speed, nor speeds up or slows down faster than the profile', () => {
    const machine = perfectMachine({ trackM: TRACK });
    const most = 0.6 * robot.motors.maxAccelerationMPerS2;
    let before = CREEP_M_PER_S;
    const motion = oneMetre({ strategy: 'open-loop' });
    drive(machine, motion, () => {
      const speed = machine.told.leftMPerS;
      expect(speed).toBeLessThanOrEqual(0.2 + 1e-12);
      if (speed > before) expect(speed - before).toBeLessThanOrEqual(most * 0.001 + 1e-12);
      before = speed;
    });
  });
});

const school = (one: object): TurnStrategy => turnStrategySchema.parse(one);

const SCHOOLS = [
  school({ school: 'encoder', rateRadPerS: 1.5 }),
  school({ school: 'encoder', rateRadPerS: 2, endRateRadPerS: 0.1 }),
  school({ school: 'stop-early', rateRadPerS: 1.5 }),
  school({ school: 'two-speed', rateRadPerS: 3, slowRateRadPerS: 0.4, slowFromRad: 0.4 }),
  school({
    school: 'proportional',
    rateRadPerS: 3,
    kpPerS: 4,
    leastRateRadPerS: 0.05,
    settledRad: deg(0.08),
  }),
  school({
    school: 'proportional',
    rateRadPerS: 3,
    kpPerS: 5,
    kd: 0.1,
    leastRateRadPerS: 0.05,
    settledRad: deg(0.08),
  }),
];

describe('a turn', () => {
  const turnBy = (angleRad: number, how: TurnStrategy, fromReadingRad: number | null = null) =>
    turn({ angleRad, how, fromReadingRad, timeoutS: turnTimeoutS(how, angleRad) }, TRACK);

  it.each(SCHOOLS)('ends at the plan, left and right ($school)', (how) => {
    fc.assert(
      fc.property(double(deg(10), deg(720)), either, double(-10, 10), (size, sign, headingRad) => {
        const machine = perfectMachine({ trackM: TRACK, headingRad });
        expect(run(machine, turnBy(sign * size, how)).said).toBe('done');
        const turnedRad = machine.pose.headingRad - headingRad;
        expect(Math.abs(turnedRad - sign * size)).toBeLessThan(deg(0.1));
        expect(Math.hypot(machine.pose.xM, machine.pose.yM)).toBeLessThan(0.001);
      }),
      { numRuns: 20 },
    );
  });

  it.each(SCHOOLS)(
    'takes out what the turns before left over, if it was planned so ($school)',
    (how) => {
      // Planned to begin at 90° and to turn by 90°; it stands 4° short of that.
      const machine = perfectMachine({ trackM: TRACK, headingRad: deg(86) });
      run(machine, turnBy(deg(90), how, deg(90)));
      expect(Math.abs(machine.pose.headingRad - deg(180))).toBeLessThan(deg(0.1));
    },
  );

  it.each(SCHOOLS)('is expected to take about as long as it takes ($school)', (how) => {
    const machine = perfectMachine({ trackM: TRACK });
    run(machine, turnBy(deg(90), how));
    expect(machine.readings.timeS).toBeLessThan(expectedTurnS(how, deg(90)));
    expect(machine.readings.timeS).toBeGreaterThan(expectedTurnS(how, deg(90)) / 3);
  });

  it('with an integral settles within what it takes for settled', () => {
    fc.assert(
      fc.property(double(deg(20), deg(360)), either, double(0, 2), (size, sign, kiPerS2) => {
        const machine = perfectMachine({ trackM: TRACK });
        const how = school({
          school: 'proportional',
          rateRadPerS: 2.5,
          kpPerS: 5,
          kd: 0.05,
          kiPerS2,
        });
        expect(run(machine, turnBy(sign * size, how)).said).toBe('done');
        expect(Math.abs(machine.pose.headingRad - sign * size)).toBeLessThan(deg(1.1));
      }),
      { numRuns: 25 },
    );
  });

  it('of nothing is nothing', () => {
    const machine = perfectMachine({ trackM: TRACK });
    const still = school({ school: 'stop-early', rateRadPerS: 1, leadRad: 0 });
    expect(run(machine, turnBy(0, still))).toEqual({ said: 'done', loops: 0 });
    expect(run(machine, turnBy(deg(5), still, deg(-5)))).toEqual({ said: 'done', loops: 0 });
  });

  it('stops early by its lead', () => {
    const machine = perfectMachine({ trackM: TRACK });
    run(
      machine,
      turnBy(deg(-90), school({ school: 'stop-early', rateRadPerS: 1, leadRad: deg(7) })),
    );
    expect(machine.pose.headingRad).toBeCloseTo(deg(-83), 2);
  });
});

describe('an approach', () => {
  const motion = approach(
    { thresholdM: 0.2, speedMPerS: 0.3, keep: { strategy: 'open-loop' }, timeoutS: 8 },
    robot,
  );
  const fresh = () =>
    approach(
      {
        thresholdM: 0.2,
        speedMPerS: 0.3,
        keep: STRATEGIES[0] ?? { strategy: 'open-loop' },
        timeoutS: 8,
      },
      robot,
    );

  it('ends where the reading is at its threshold', () => {
    fc.assert(
      fc.property(double(0.25, 1.5), fc.boolean(), (wallXM, losesEchoes) => {
        const machine = perfectMachine({ trackM: TRACK, wallXM, losesEchoes });
        expect(run(machine, fresh()).said).toBe('done');
        expect(Math.abs(machine.pose.xM - (wallXM - 0.2))).toBeLessThan(0.001);
      }),
      { numRuns: 25 },
    );
  });

  it('does nothing where it is there already, and says when it has no sensor', () => {
    expect(run(perfectMachine({ trackM: TRACK, wallXM: 0.1 }), motion)).toEqual({
      said: 'done',
      loops: 0,
    });
    const blind = approach(
      { thresholdM: 0.2, speedMPerS: 0.3, keep: { strategy: 'open-loop' }, timeoutS: 8 },
      withoutDevices(robot, 'distance sensor'),
    );
    expect(run(perfectMachine({ trackM: TRACK }), blind)).toEqual({ said: 'no-sensor', loops: 0 });
  });

  it('that never sees anything ends by its time-out', () => {
    const machine = perfectMachine({ trackM: TRACK });
    expect(run(machine, fresh()).said).toBe('time');
    expect(machine.readings.timeS).toBeCloseTo(8, 2);
  });
});

describe('any motion', () => {
  const limit = 1.5;
  const motions: [string, () => Controller][] = [
    ...STRATEGIES.map((keep): [string, () => Controller] => [
      keep.strategy,
      () => straight({ distanceM: -0.5, speedMPerS: 0.3, keep, timeoutS: limit }, robot),
    ]),
    ...SCHOOLS.map((how): [string, () => Controller] => [
      how.school,
      () => turn({ angleRad: deg(-90), how, fromReadingRad: null, timeoutS: limit }, TRACK),
    ]),
  ];

  it.each(motions)(
    'of a robot that is stuck ends by its time-out, motors off (%s)',
    (_, motion) => {
      const machine = perfectMachine({ trackM: TRACK, stuck: true });
      expect(run(machine, settled(motion())).said).toBe('time');
      expect(machine.readings.timeS).toBeGreaterThanOrEqual(limit);
      expect(machine.readings.timeS).toBeLessThan(limit + 0.002);
      expect(machine.told).toEqual({ leftMPerS: 0, rightMPerS: 0 });
    },
  );

  it.each(motions)('is ended by a wall that holds the robot, motors off (%s)', (_, motion) => {
    const machine = perfectMachine({ trackM: TRACK });
    let loops = 0;
    const holding = Object.defineProperty(machine, 'hitWall', { get: () => loops >= 20 });
    expect(drive(holding, motion(), () => (loops += 1))).toBe('wall');
    expect(loops).toBe(20);
    expect(machine.told).toEqual({ leftMPerS: 0, rightMPerS: 0 });
  });

  it('is followed by a rest of its own where it is to settle, and a rest lasts as long as it is told', () => {
    const motion = () =>
      straight(
        { distanceM: 0.1, speedMPerS: 0.3, keep: { strategy: 'open-loop' }, timeoutS: limit },
        robot,
      );
    const bare = perfectMachine({ trackM: TRACK });
    run(bare, motion());
    const calm = perfectMachine({ trackM: TRACK });
    run(calm, settled(motion()));
    expect(calm.readings.timeS - bare.readings.timeS).toBeCloseTo(SETTLE_S, 3);
    const resting = perfectMachine({ trackM: TRACK });
    run(resting, rest(0.73));
    expect(resting.readings.timeS).toBeCloseTo(0.73, 3);
    expect(resting.pose).toEqual({ xM: 0, yM: 0, headingRad: 0 });
  });
});
