import { describe, expect, it } from 'vitest';
import { gainStudy } from '../../src/core/tuning/gainStudy';
import { onSimulatorText } from '../../src/core/tuning/onSimulator';
import { swingsOf } from '../../src/core/tuning/swings';
import { wallTrace } from '../../src/core/tuning/wallTrace';
import { generator, normal } from '../support/eulerRobot';

const WHOLE_CM = 0.01;
const TARGET_M = 0.2;
const rounded = (valueM: number) => WHOLE_CM * Math.round(valueM / WHOLE_CM);

/** Of a sensor that reads whole centimetres with 3 mm of noise, and a correction by a gain. */
function traceOf(excessM: (tS: number) => number, gain: number, lengthS: number, seed: number) {
  const random = generator(seed);
  const tS = Array.from({ length: lengthS * 20 }, (_, i) => i / 20);
  const readingM = tS.map((t) => rounded(TARGET_M + excessM(t) + 0.003 * normal(random)));
  return {
    tS,
    readingM,
    correctionRadPerS: readingM.map((reading) => gain * (reading - TARGET_M)),
  };
}

interface Followed {
  gain: number;
  aheadM: number;
  speedMPerS: number;
  delayS: number;
  /** The robot turns no faster. */
  mostRadPerS: number;
}

/** A robot that follows a wall on its left, a heading and a distance each integrated by small steps. */
function followed({ gain, aheadM, speedMPerS, delayS, mostRadPerS }: Followed, seed: number) {
  const random = generator(seed);
  let [excessM, headingRad] = [0.04, 0];
  const tS = Array.from({ length: 400 }, (_, i) => i / 50);
  const readingM: number[] = [];
  const correctionRadPerS = tS.map((_, i) => {
    const seen = TARGET_M + excessM - aheadM * Math.sin(headingRad) + 0.003 * normal(random);
    readingM.push(rounded(seen));
    const late = readingM[Math.max(0, i - Math.round(50 * delayS))] ?? TARGET_M;
    const wanted = gain * (late - TARGET_M);
    const turn = Math.min(mostRadPerS, Math.max(-mostRadPerS, wanted));
    headingRad += turn / 50;
    excessM -= (speedMPerS * Math.sin(headingRad)) / 50;
    return turn;
  });
  return { tS, readingM, correctionRadPerS };
}

const SEEDS = Array.from({ length: 20 }, (_, i) => 100 + i);

describe('a wall that is followed by whole centimetres', () => {
  it('is approached far too slowly with a time constant of 20 s, whatever the flicker of its readings', () => {
    for (const seed of SEEDS) {
      const slow = traceOf((t) => 0.04 * Math.exp(-t / 20), 0.3, 20, seed);
      expect(wallTrace(slow, TARGET_M, 'left')?.verdict).toBe('too-weak');
    }
  });

  it('is never followed more strongly where the swings grow, or stand at the robot’s limits', () => {
    for (const seed of SEEDS) {
      const growing = traceOf((t) => 0.01 * 1.5 ** t * Math.cos(2 * Math.PI * t), 40, 8, seed);
      for (const leadS of [undefined, 0.1, 0.5]) {
        const found = wallTrace(growing, TARGET_M, 'left', leadS);
        expect(found?.verdict).toBe('too-strong');
        expect(found?.proposedGainFactor).toBeLessThan(1);
      }
      for (const mostRadPerS of [0.6, 1, 2]) {
        const robot = { gain: 40, aheadM: 0.02, speedMPerS: 0.2, delayS: 0.25, mostRadPerS };
        expect(wallTrace(followed(robot, seed), TARGET_M, 'left', 0.1)?.verdict).toBe('too-strong');
      }
    }
  });

  it('is followed well by a gain that is good without noise, too', () => {
    const robot = { gain: 15, aheadM: 0.1, speedMPerS: 0.2, delayS: 0.1, mostRadPerS: 3 };
    const good = SEEDS.filter(
      (seed) => wallTrace(followed(robot, seed), TARGET_M, 'left', 0.5)?.verdict === 'good',
    );
    expect(good.length).toBeGreaterThanOrEqual(18);
    const weak = { ...robot, gain: 1 };
    expect(wallTrace(followed(weak, 3), TARGET_M, 'left', 0.5)?.verdict).toBe('too-weak');
  });

  it('leaves a band of what its noise is, not of how often it flickers', () => {
    const flicker = traceOf((t) => (t < 2 ? 0.08 : 0), 0, 20, 7);
    const { band } = swingsOf(
      flicker.tS,
      flicker.readingM.map((reading) => reading - TARGET_M),
    );
    // 3 mm of noise and a centimetre's rounding are 4 mm together.
    expect(band).toBeGreaterThan(0.009);
    expect(band).toBeLessThan(0.02);
  });
});

describe('eye and simulator', () => {
  const look = { gain: 2, seen: 'good', proposedGainFactor: null } as const;
  const looks = [look, look, look];

  it('are set side by side where they disagree', () => {
    const agreed = { from: 1, to: 4, middle: 2 };
    const means = (simulated?: typeof agreed | null) =>
      gainStudy('wall', looks, simulated)?.sentences.means ?? '';
    expect(means(agreed)).not.toMatch(/simulator/);
    expect(means(agreed)).not.toMatch(/100 %/);
    expect(means()).not.toMatch(/simulator/);
    expect(means(null)).toMatch(/The simulator knows no good gain for this robot/);
    expect(means({ from: 20, to: 80, middle: 40 })).toMatch(/are good, and this is not/);
  });

  it('tell a sensor that sits ahead of the axle nothing else than it is', () => {
    expect(onSimulatorText('wall', 'Pipit', null, 0.02)).toMatch(
      /sits 2 cm ahead of the axle, and farther ahead it would be damped more/,
    );
    expect(onSimulatorText('wall', 'Pipit', null, 0)).toMatch(/beside the axle/);
    expect(onSimulatorText('turn', 'Pipit', null, null)).toMatch(/lag and loop in its record/);
  });
});
