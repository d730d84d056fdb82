import { beforeAll, describe, expect, it } from 'vitest';
import { robotSchema, type Robot } from '../../src/core/robot/robot';
import { randomStream } from '../../src/core/stats/random';
import { adviceByEye, SEEN, type GainLook, type SeenGain } from '../../src/core/tuning/byEye';
import type { TunedController } from '../../src/core/tuning/controllers/controller';
import { TUNED } from '../../src/core/tuning/controllers/registry';
import { gainsAtSpeeds, speedSentence, verdictAt } from '../../src/core/tuning/atSpeeds';
import { firstGain, type GoodGains } from '../../src/core/tuning/firstGain';
import type { GainVerdict } from '../../src/core/tuning/judge';
import { nextGain, type TriedGain } from '../../src/core/tuning/nextGain';
import { simulatedTrace } from '../../src/core/tuning/simulatedTrace';

/** A robot as teams build them, each another one: slow and quick motors, loops and sensors. */
function robotNo(i: number): Robot {
  const random = randomStream(99, i, 'robot');
  const between = (low: number, high: number) => low + (high - low) * random.uniform();
  const side = i % 2 === 0 ? -1 : 1;
  return robotSchema.parse({
    wheelDiameterM: between(0.04, 0.09),
    trackM: between(0.09, 0.17),
    loopPeriodS: [0.005, 0.01, 0.02, 0.03][i % 4],
    motors: {
      maxSpeedMPerS: between(0.4, 0.9),
      maxAccelerationMPerS2: between(1, 3),
      lagS: between(0.02, 0.1),
    },
    errors: { wheelDifference: between(-0.02, 0.02), slipMPerSqrtM: between(0, 0.004) },
    units: [
      { id: 'l', kind: 'left motor', label: 'M1' },
      { id: 'r', kind: 'right motor', label: 'M2' },
      {
        id: 'g',
        kind: 'heading sensor',
        label: 'H1',
        behaviour: { latencyS: between(0, 0.04) },
      },
      {
        id: 'd',
        kind: 'distance sensor',
        label: 'D1',
        facingRad: (side * Math.PI) / 2,
        place: { aheadM: between(0.05, 0.1), leftM: side * 0.06 },
      },
      { id: 'c', kind: 'light sensor', label: 'L1', place: { aheadM: between(0.05, 0.1) } },
    ],
  });
}

const ROBOTS = Array.from({ length: 10 }, (_, i) => robotNo(i));

const tried = (controller: TunedController, robot: Robot, gain: number, seed: number) =>
  controller.judge(robot, simulatedTrace(robot, controller.experiment(robot, gain), seed));

/** Proposals followed until a gain is good. */
function tune(controller: TunedController, robot: Robot, start: number, seed: number) {
  const gains: TriedGain[] = [];
  for (let gain = start; gains.length <= 5; gain = nextGain(gains)) {
    const found = tried(controller, robot, gain, seed + gains.length);
    if (found === null) throw new Error(`gain ${gain}: too short to tell`);
    gains.push({ gain, ...found });
    if (found.verdict === 'good') break;
  }
  return gains;
}

const AS_SEEN: Record<GainVerdict, SeenGain> = {
  'too-weak': 'too slow',
  'too-strong': 'too jerky',
  'wrong-sign': 'wrong way',
  good: 'good',
};

/** An eye that takes one look of ten for something else. */
function lookedAt(controller: TunedController, robot: Robot, start: number, seed: number) {
  const eye = randomStream(seed, 1, 'eye');
  const looks: GainLook[] = [];
  for (let gain = start; ;) {
    const truly =
      AS_SEEN[tried(controller, robot, gain, seed + looks.length)?.verdict ?? 'too-weak'];
    const others = SEEN.filter((one) => one !== truly);
    const seen =
      eye.uniform() < 0.1 ? (others[Math.floor(eye.uniform() * others.length)] ?? truly) : truly;
    looks.push({ gain, seen });
    const advice = adviceByEye(looks);
    if (advice.isFound || looks.length === 8) return { looks, ...advice };
    gain = advice.gain;
  }
}

/** Ten robots are tried, on a machine that may be busy. */
const SLOW_MS = 60_000;

describe.each(TUNED)('the tuner of “$id”', (controller) => {
  let good: GoodGains[] = [];
  beforeAll(() => {
    good = ROBOTS.map((robot) => {
      const gains = firstGain(controller, robot);
      if (gains === null) throw new Error('no gain is good');
      return gains;
    });
  }, SLOW_MS);

  it('comes to a good gain within five proposals, from ten times too high, too low, of the wrong sign', () => {
    for (const [i, robot] of ROBOTS.entries()) {
      const middle = good[i]?.middle ?? 0;
      for (const start of [10 * middle, middle / 10, -middle, -10 * middle]) {
        const gains = tune(controller, robot, start, 100 * i);
        expect(
          gains.at(-1)?.verdict,
          `robot ${i}: ${gains.map(({ gain, verdict }) => `${gain} ${verdict}`).join(', ')}`,
        ).toBe('good');
        expect(gains.length - 1).toBeLessThanOrEqual(5);
      }
    }
  });

  it('comes to one by eye alone within eight looks, of which one in ten is mistaken', () => {
    const ends = ROBOTS.flatMap((robot, i) => {
      const middle = good[i]?.middle ?? 0;
      return [10 * middle, middle / 10, -middle].map((start, n) => {
        const { gain, isFound } = lookedAt(controller, robot, start, 1000 * n + 10 * i);
        const again = [1, 2, 3].map((k) => tried(controller, robot, gain, 7000 + k)?.verdict);
        return isFound && again.filter((verdict) => verdict === 'good').length >= 2;
      });
    });
    // With mistaken looks some end beside the good ones.
    expect(ends.filter((isGood) => !isGood).length).toBeLessThanOrEqual(2);
  });
});

describe('a sensor that looks to a wall or a line', () => {
  it.each(['wall', 'line'])(
    'leaves more gains that are good the farther it is ahead of the axle (%s)',
    (id) => {
      const controller = TUNED.find((one) => one.id === id);
      const [, robot] = ROBOTS;
      if (controller === undefined || robot === undefined) throw new Error('nothing to try');
      const widths = [0, 0.05, 0.1].map((aheadM) => {
        const units = robot.units.map((unit) => ({ ...unit, place: { ...unit.place, aheadM } }));
        const gains = firstGain(controller, { ...robot, units });
        return gains === null ? 1 : gains.to / gains.from;
      });
      // Beside the wheels nothing damps: a gain that swings less does not exist.
      expect(widths[0]).toBe(1);
      expect(Math.min(widths[1] ?? 0, widths[2] ?? 0)).toBeGreaterThan(2);
    },
  );

  it('is never told to steer less where it wanders by too weak a gain, on a robot that slips', () => {
    const [controller, robot] = [TUNED.find(({ id }) => id === 'line'), ROBOTS[8]];
    if (controller === undefined || robot === undefined) throw new Error('nothing to try');
    const strong = [0.25, 0.57, 0.85].flatMap((gain) =>
      [1, 2, 3, 4].filter((k) => tried(controller, robot, gain, k)?.verdict === 'too-strong'),
    );
    expect(strong).toEqual([]);
  });

  it('is missed in words', () => {
    const bare = { ...robotNo(0), units: robotNo(0).units.slice(0, 3) };
    expect(TUNED.map(({ lack }) => lack(bare)).filter((words) => words !== null)).toEqual([
      expect.stringContaining('No distance sensor'),
      'No light sensor is plugged in.',
    ]);
  });
});

describe('advice by eye', () => {
  it('moves away from what was seen, and looks once more at what looked good', () => {
    expect(adviceByEye([{ gain: 2, seen: 'too jerky' }]).gain).toBeLessThan(1);
    expect(adviceByEye([{ gain: 2, seen: 'too slow' }]).gain).toBeGreaterThan(4);
    expect(adviceByEye([{ gain: -3, seen: 'wrong way' }]).gain).toBeGreaterThan(0);
    const once = adviceByEye([
      { gain: 8, seen: 'too jerky' },
      { gain: 2, seen: 'good' },
    ]);
    expect(once).toMatchObject({ gain: 2, isFound: false });
    const twice = adviceByEye([
      { gain: 8, seen: 'too jerky' },
      { gain: 2, seen: 'good' },
      { gain: 2, seen: 'good' },
    ]);
    expect(twice).toMatchObject({ gain: 2, isFound: true });
    expect(twice.chance).toBeGreaterThan(0.95);
  });
});

describe('speed', () => {
  const [robot] = ROBOTS;

  it('asks a follower for more gain: it damps less, the faster the robot drives', () => {
    const line = TUNED.find(({ id }) => id === 'line');
    if (line === undefined || robot === undefined) throw new Error('no controller of that name');
    const { speeds } = gainsAtSpeeds(line, robot);
    const weakest = (said: string) => speeds.find((at) => at.said === said)?.good?.from ?? NaN;
    // Damping is a/2 · √(K/v) (following.ts): the same needs so much more gain.
    expect(weakest('30 cm/s')).toBeGreaterThan(2 * weakest('12 cm/s'));
    expect(speeds.map(({ good }) => good)).toContainEqual(firstGain(line, robot));
  });

  it('is said to ask for another gain, or to change nothing', () => {
    const at = (said: string, from: number, to: number) => ({
      speed: 1,
      said,
      good: { from, to, middle: Math.sqrt(from * to) },
    });
    const none = { speed: 2, said: '40 cm/s', good: null };
    const slow = at('10 cm/s', 1, 4);
    expect(speedSentence('turn', [slow, at('20 cm/s', 2, 8), none])).toMatch(
      /^2.°\/s.per.° to 4.°\/s.per.° is good at every other speed that was tried\. At 40.cm\/s no gain holds\.$/,
    );
    expect(speedSentence('turn', [slow, at('20 cm/s', 5, 8)])).toMatch(/change it with the speed/);
    expect(speedSentence('turn', [none])).toBe('At none of these speeds a gain holds.');
    expect([0.5, 2, 5].map((gain) => verdictAt(slow, gain))).toEqual([
      'too weak',
      'good',
      'too strong',
    ]);
  });
});
