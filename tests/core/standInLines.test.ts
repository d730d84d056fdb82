import { describe, expect, it } from 'vitest';
import { attachmentMoves, type AttachmentMove } from '../../src/core/attachments/moves';
import {
  faultIsolation,
  isSeenEnough,
  type FaultLook,
} from '../../src/core/faultIsolation/faultIsolation';
import { LINK_NAMES } from '../../src/core/faultIsolation/links';
import { faultShows, hiddenFault } from '../../src/core/faultIsolation/standInFault';
import { lookingSdRad } from '../../src/core/light/lineSquaring';
import { thresholdShares } from '../../src/core/light/thresholdShares';
import { leftAndRight } from '../../src/core/light/twoLightSensors';
import { robotSchema } from '../../src/core/robot/robot';
import { armTruth, movedDegrees } from '../../src/core/standIn/attachmentMove';
import { runBenchProgram } from '../../src/core/standIn/program';
import { aboutStep, type BenchStep } from '../../src/core/standIn/steps/benchStep';
import { mean, sampleSd } from '../../src/core/stats/moments';
import { randomStream } from '../../src/core/stats/random';
import { deg } from './support';

const light = (id: string, leftM: number) => ({
  id,
  kind: 'light sensor',
  label: id,
  port: id.slice(1),
  place: { aheadM: 0.06, leftM },
  behaviour: {},
});
const robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.13,
  units: [light('L1', 0.04), light('L2', -0.04)],
});
const sides = leftAndRight(robot);
const shares = thresholdShares(null, {
  floorShare: 0.6,
  lineShare: 0.12,
  noiseShare: 0.012,
  spotDiameterM: 0.006,
  periodS: 0.01,
});
const endOf = (step: BenchStep, seed: number) =>
  runBenchProgram(robot, [step], seed, aboutStep(step, robot)).at(-1)?.pose;

describe('a stand-in that squares on a line', () => {
  const squared = (beforeRad: number, speedMPerS: number, second: number | null, seed: number) => {
    const step: BenchStep = {
      kind: 'square-on-line',
      beforeRad,
      speedMPerS,
      secondMPerS: second,
      leftEnterShare: shares.enterShare,
      rightEnterShare: shares.enterShare,
      lineIs: shares.lineIs,
    };
    return beforeRad + (endOf(step, seed)?.headingRad ?? Number.NaN);
  };
  const many = (speed: number, second: number | null) =>
    Array.from({ length: 24 }, (_, i) =>
      squared(deg((i % 2 === 0 ? 1 : -1) * (4 + (i % 5))), speed, second, i),
    );

  it('ends square, whichever way it was turned, the slower the better', () => {
    expect(sides?.left.id).toBe('L1');
    const [fast, slow] = [many(0.2, null), many(0.05, null)];
    expect(Math.abs(mean(slow))).toBeLessThan(deg(1));
    expect(Math.max(...slow.map(Math.abs))).toBeLessThan(deg(3));
    expect(sampleSd(slow)).toBeLessThan(sampleSd(fast));
    // No better than looking now and then allows, no worse than a few times that.
    const looking = lookingSdRad({ spacingM: 0.08, loopPeriodS: 0.01, sensorPeriodS: 0.01 }, 0.05);
    expect(sampleSd(slow)).toBeGreaterThan(0.5 * looking);
  });

  it('a second, slower pass takes out what the first left', () => {
    const [once, twice] = [many(0.2, null), many(0.2, 0.04)];
    expect(sampleSd(twice)).toBeLessThan(0.7 * sampleSd(once));
  });
});

describe('a stand-in that drives over a line', () => {
  const passed = (on: 'entering' | 'leaving', speedMPerS: number, seed: number) => {
    const step: BenchStep = {
      kind: 'to-line',
      awayM: 0.25,
      widthM: 0.02,
      speedMPerS,
      on,
      ...shares,
    };
    const edgeM = 0.25 + (on === 'leaving' ? 0.02 : 0);
    return Math.sign(speedMPerS) * (endOf(step, seed)?.xM ?? Number.NaN) - edgeM;
  };

  it('stands a little past its edge, further the faster, forwards and backwards', () => {
    for (const on of ['entering', 'leaving'] as const) {
      for (const way of [1, -1]) {
        const at = (speed: number) =>
          mean([1, 2, 3, 4].map((seed) => passed(on, way * speed, seed)));
        expect(at(0.1)).toBeGreaterThan(0);
        expect(at(0.3)).toBeGreaterThan(at(0.1));
        expect(at(0.3)).toBeLessThan(0.05);
      }
    }
  });
});

describe('an arm of a stand-in', () => {
  it('has play, is late and scatters: what moves to positions find is what was hidden', () => {
    const truth = armTruth(11, 'A1');
    const moves = Array.from({ length: 240 }, (_, i): AttachmentMove => {
      const came = i % 2 === 0 ? 'up' : 'down';
      const load = i % 3 === 0 ? 'loaded' : 'empty';
      const speedRadPerS = deg(i % 4 < 2 ? 90 : 360);
      const told = { toRad: deg(60), came, load, speedRadPerS, unitId: 'A1' } as const;
      const reached = movedDegrees(11, told, randomStream(3, i, 'test'));
      return {
        position: 'up',
        wantedRad: told.toRad,
        reachedRad: deg(Math.round(reached)),
        endedBy: 'counter',
        came,
        speedRadPerS,
        load,
        timeS: null,
      };
    });
    const found = attachmentMoves(moves);
    const holds = (value: number, of: { low95: number; high95: number } | null) =>
      of !== null && value >= of.low95 - deg(0.1) && value <= of.high95 + deg(0.1);
    expect(holds(truth.playRad, found.play)).toBe(true);
    expect(Math.abs((found.late?.value ?? 0) - truth.lateS)).toBeLessThan(0.003);
    expect(holds(truth.loadRad, found.load)).toBe(true);
    expect(found.positions[0]?.scatter.sd).toBeCloseTo(truth.scatterRad, 2);
  });
});

describe('a fault that is hidden in a stand-in', () => {
  it('is found by who looks as often as is asked, for all parts and shares', () => {
    const hidden = Array.from({ length: 60 }, (_, seed) => ({ seed, ...hiddenFault(seed) }));
    expect(new Set(hidden.map(({ link }) => link)).size).toBe(LINK_NAMES.length);
    expect(new Set(hidden.map(({ share }) => share)).size).toBe(3);
    const right = hidden.filter(({ seed, link }) => {
      const looks: FaultLook[] = [];
      for (let i = 0; i < 300; i += 1) {
        const found = faultIsolation(looks);
        if (found.guilty !== null) return found.guilty === link;
        const exchanged = isSeenEnough(found.asItWas) ? (found.next?.link ?? null) : null;
        looks.push({ exchanged, showed: faultShows(seed, exchanged ?? 'nothing', i) });
      }
      return false;
    });
    expect(right.length).toBeGreaterThan(54);
  });
});
