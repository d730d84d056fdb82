import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stepCard, typedSentences } from '../../src/core/course/stepCard';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRun } from '../../src/core/forecast/run';
import { robotSchema, type Robot } from '../../src/core/robot/robot';
import { tableSchema } from '../../src/core/table/table';
import { bareTable, deg, idealRobot, routeOf, withDevice, withoutDevices } from './support';

const table = tableSchema.parse({
  ...bareTable,
  walls: [{ x1M: 3.6, y1M: 0, x2M: 3.6, y2M: 3 }],
  lines: [{ x1M: 2.2, y1M: 0, x2M: 2.2, y2M: 3, widthM: 0.03 }],
});
const START = { xM: 1, yM: 1, headingRad: deg(90) };

/** A robot that counts in its own way. */
const counting = (of: {
  signs: object;
  program: object;
  gearRatio: number;
  raw?: object | undefined;
}): Robot => {
  const { raw, signs, program, gearRatio } = of;
  const blind = withoutDevices(idealRobot, 'distance sensor');
  const { program: counts } = blind;
  const robot = robotSchema.parse({
    ...blind,
    gearRatio,
    signs,
    program: { ...counts, ...program },
  });
  const eye = { kind: 'distance sensor', label: 'eye', port: '4', place: { aheadM: 0.1 } };
  const light = { kind: 'light sensor', label: 'down', port: '5', place: { aheadM: 0.05 } };
  const aside = { kind: 'distance sensor', label: 'aside', facingRad: deg(-90) };
  return withDevice(
    withDevice(withDevice(robot, aside), {
      ...eye,
      behaviour: { noiseM: 0, lostEchoShare: 0 },
      raw: raw ?? null,
    }),
    { ...light, behaviour: { noiseShare: 0 } },
  );
};

const PER_M: Record<string, number> = { mm: 1000, cm: 100, inches: 1 / 0.0254 };

interface Moment {
  timeS: number;
  /** By what it is called in an inequality. */
  reads: Record<string, number>;
}

/** What the robot's own programs read in each step, told here by hand from what the machine does. */
function readings(robot: Robot, steps: object[]): Moment[][] {
  const route = routeOf(
    steps.map((step, i) => ({ id: `s${i}`, ...step })),
    START,
  );
  const made: Moment[][] = [];
  let from = { leftM: 0, rightM: 0, headingRad: 0 };
  const { angles, travel, forwardSign, setsHeading } = robot.program;
  let zeroRad = 0;
  const simulation = { robot, table, route, seed: 4 };
  simulateRun(simulation, prepare(simulation), 0, ({ readings: now, pose }, step) => {
    if (made[step] === undefined) {
      made[step] = [];
      from = { leftM: now.leftM, rightM: now.rightM, headingRad: now.headingRad };
      // A kit that can do no more has zeroed its heading at the wall.
      const before = steps[step - 1] as { kind?: string } | undefined;
      if (before?.kind === 'square-up' && setsHeading === 'zero') zeroRad = now.headingRad;
    }
    const motor = (rollM: number) =>
      (rollM / (Math.PI * robot.wheelDiameterM)) * robot.gearRatio * 360;
    const perMotor = travel === 'rotations' ? 360 : 1;
    const [leftDeg, rightDeg] = [motor(now.leftM - from.leftM), motor(now.rightM - from.rightM)];
    const perHeading = (robot.signs.heading * (angles === 'degrees' ? 180 / Math.PI : 1)) as number;
    const drivenM = (now.leftM - from.leftM + now.rightM - from.rightM) / 2;
    const eyeAt = { xM: pose.xM + 0.1 * Math.cos(pose.headingRad) };
    made[step]?.push({
      timeS: now.timeS,
      reads: {
        'mean of both': (robot.signs.leftMotor * (leftDeg + rightDeg)) / 2 / perMotor,
        'half of left': (leftDeg + rightDeg) / 2 / perMotor,
        'half of right': (leftDeg + rightDeg) / 2 / perMotor,
        left: (robot.signs.leftMotor * leftDeg) / perMotor,
        right: (robot.signs.rightMotor * rightDeg) / perMotor,
        heading: perHeading * (now.headingRad - zeroRad),
        changed: perHeading * (now.headingRad - from.headingRad),
        distance: forwardSign * drivenM * (PER_M[travel ?? ''] ?? 0),
        'eye on port 4': (3.6 - eyeAt.xM) / Math.cos(pose.headingRad),
      },
    });
  });
  return made;
}

const INEQUALITIES: [RegExp, (name: string) => string[]][] = [
  [/both motors have counted/, () => ['left', 'right']],
  [/the (left|right) motor has counted/, (side) => [side]],
  [/the (mean of both) motors has counted/, (name) => [name]],
  [/(half of (?:left|right)) motor less (?:left|right) motor has counted/, (name) => [name]],
  [/the heading shows/, () => ['heading']],
  [/the heading has changed by/, () => ['changed']],
  [/the distance shows/, () => ['distance']],
  [/(eye on port 4) shows/, (name) => [name]],
];
const NUMBER = / (−?[\d.]+) ?(cm|mm|in|rotations|rad|°)? or (more|less)/;

/** The inequalities of a sentence, as who reads it takes them. */
const readOff = (sentence: string) =>
  sentence.split(/ and |, or /).flatMap((part) =>
    INEQUALITIES.flatMap(([pattern, names]) => {
      const found = new RegExp(pattern.source + NUMBER.source).exec(part);
      if (found === null) return [];
      const value = Number(found.at(-3)?.replace('−', '-'));
      return names(found[1] ?? '').map((name) => ({
        name,
        isMore: found.at(-1) === 'more',
        value,
        unit: found.at(-2) ?? '',
      }));
    }),
  );

const way = fc.record({
  signs: fc.record({
    heading: fc.constantFrom(1, -1),
    leftMotor: fc.constantFrom(1, -1),
    rightMotor: fc.constantFrom(1, -1),
  }),
  gearRatio: fc.constantFrom(1, 3),
  program: fc.record({
    command: fc.constant('degrees per second'),
    travel: fc.constantFrom('motor degrees', 'rotations', 'mm', 'cm', 'inches'),
    angles: fc.constantFrom('degrees', 'radians'),
    forwardSign: fc.constantFrom(1, -1),
    setsHeading: fc.constantFrom('any', 'zero'),
  }),
  raw: fc.constantFrom(undefined, { reading: 'mm', max: null, grows: true }),
});
const TURN = { kind: 'turn', rateRadPerS: 1, leadRad: 0.05 };
const STEPS = [
  { kind: 'straight', distanceM: 0.3 },
  { ...TURN, mode: 'to', angleRad: 0 },
  { kind: 'straight', distanceM: -0.2, strategy: 'encoder-balance' },
  { ...TURN, mode: 'by', angleRad: deg(-120) },
  { ...TURN, mode: 'to', angleRad: deg(180), strategy: 'encoder' },
  { kind: 'square-up', back: false, speedMPerS: 0.15, pressS: 1.5 },
  { ...TURN, mode: 'to', angleRad: 0 },
  { kind: 'arc', radiusM: 0.2, angleRad: deg(20) },
  {
    ...TURN,
    mode: 'to',
    angleRad: 0,
    until: { reading: 'heading', is: 'below', value: deg(8), confirmations: 1 },
  },
  { kind: 'approach', thresholdM: 0.4 },
  { kind: 'straight', distanceM: -0.3 },
  { ...TURN, mode: 'to', angleRad: deg(90) },
  { kind: 'follow-wall', side: 'right', keepM: 0.7, lengthM: 0.25 },
];

describe('a step card', () => {
  it('names the inequality that is so as each step ends, and not before, as the robot itself reads it', () => {
    fc.assert(
      fc.property(way, (of) => {
        const robot = counting(of);
        const route = routeOf(
          STEPS.map((step, i) => ({ id: `s${i}`, ...step })),
          START,
        );
        const card = stepCard(route, robot, table);
        const made = readings(robot, STEPS);
        expect(made).toHaveLength(STEPS.length);
        for (const [i, row] of card.entries()) {
          const any = row.until.map(readOff).filter((all) => all.length > 0);
          if (any.length === 0) {
            expect(STEPS[i]?.kind).toBe('square-up');
            continue;
          }
          const moments = made[i] ?? [];
          const perM = { cm: 100, mm: 1000 };
          const near = (name: string, unit: string) =>
            name === 'eye on port 4' ? perM[unit as keyof typeof perM] : 1;
          const isAngle = (name: string) => name === 'heading' || name === 'changed';
          // To within what is rounded, and a tick.
          const isSo = ({ reads }: Moment, slack: number) =>
            any.some((all) =>
              all.every(({ name, value, isMore, unit }) => {
                const shown = (reads[name] ?? NaN) * near(name, unit);
                const off =
                  slack *
                  (isAngle(name)
                    ? unit === 'rad'
                      ? 0.03
                      : 1.5
                    : Math.max(0.06 * Math.abs(value), 0.02));
                return isMore ? shown >= value - off : shown <= value + off;
              }),
            );
          const [first, last] = [moments[0] as Moment, moments.at(-1) as Moment];
          expect(isSo(last, 1), `${row.number}: ${row.until.join()}`).toBe(true);
          expect(isSo(first, -1), `${row.number} begins with ${row.until.join()}`).toBe(false);
          const soFrom = moments.find((one) => isSo(one, 1)) as Moment;
          const share = (soFrom.timeS - first.timeS) / (last.timeS - first.timeS);
          expect(share, `${row.number}: ${row.until.join()}`).toBeGreaterThan(0.5);
        }
      }),
      { numRuns: 25 },
    );
  });

  it('says what its kit can do about the heading, and counts from there', () => {
    const of = { signs: {}, gearRatio: 1 };
    const steps = [
      { id: 'a', kind: 'square-up', back: false, speedMPerS: 0.15, pressS: 1 },
      { id: 'b', kind: 'straight', distanceM: -0.2 },
      { id: 'c', kind: 'turn', mode: 'to', angleRad: 0, leadRad: 0 },
    ];
    const typed = (setsHeading: string) =>
      stepCard(
        routeOf(steps, { xM: 1, yM: 2.7, headingRad: deg(90) }),
        counting({ ...of, program: { setsHeading } }),
        table,
      ).map((row) => typedSentences(row).join(' '));
    // It begins at 90° on the table, which its sensor calls 0.
    const [any, zero] = [typed('any'), typed('zero')];
    expect(any[0]).toContain('Then set the heading to 0°.');
    expect(zero[0]).toContain('Then zero the heading.');
    for (const of of [any, zero]) {
      expect(of[1]).toContain('Hold the heading at 0°.');
      expect(of[2]).toContain('Until the heading shows −90° or less.');
    }
  });

  it('asks what a decision asks, and tells each of its lists by when it is made', () => {
    const robot = counting({
      signs: {},
      gearRatio: 1,
      program: {},
      raw: { reading: 'mm', max: null, grows: true },
    });
    const near = { reading: { unit: 'eye', channel: 'distance' }, is: 'below', value: 0.25 };
    const drive = (id: string, distanceM: number) => ({ id, kind: 'straight', distanceM });
    const route = routeOf([
      { id: 'd', kind: 'decide', if: near, then: [drive('a', 0.1)], else: [drive('b', -0.1)] },
    ]);
    const [asks, then, otherwise] = stepCard(route, robot, table);
    expect(asks?.until).toEqual(['eye on port 4 shows 250 mm or less?']);
    expect([then?.number, then?.when]).toEqual(['1a.1', 'if so']);
    expect([otherwise?.number, otherwise?.when]).toEqual(['1b.1', 'if not']);
    expect(otherwise?.until[0]).toMatch(/^both motors have counted −205° or less$/);
  });
});
