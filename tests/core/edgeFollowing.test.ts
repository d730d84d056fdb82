import { describe, expect, it } from 'vitest';
import { calibrationFromEdge } from '../../src/core/calibration/kinds/lineFollowing/fromStudy';
import { robotSchema } from '../../src/core/robot/robot';
import { alongEdge, bendTable, STRAIGHT_M, type Bend } from '../../src/core/tuning/edge/bend';
import { heldAtTable, withTable } from '../../src/core/tuning/edge/atTable';
import { edgeStudy } from '../../src/core/tuning/edge/edgeStudy';
import {
  bothWays,
  fastestRound,
  mostByLightMPerS,
  neededGainRadPerS,
} from '../../src/core/tuning/edge/fastestRound';
import { followBend } from '../../src/core/tuning/edge/followBend';

const light = { id: 'u1', kind: 'light sensor', label: 'L1', port: '1', behaviour: {} };
const robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.13,
  units: [{ ...light, place: { aheadM: 0.06, leftM: 0 } }],
});
const SIZE = { radiusM: 0.15, lineWidthM: 0.02 };

describe('a line that bends', () => {
  it.each(bothWays(SIZE))('its left edge lies where it is drawn ($turns)', (bend) => {
    const { lines } = bendTable(bend, { xM: 0, yM: 0 });
    for (const { x1M, y1M, x2M, y2M, widthM } of lines) {
      const length = Math.hypot(x2M - x1M, y2M - y1M);
      const [alongX, alongY] = [(x2M - x1M) / length, (y2M - y1M) / length];
      // Half of its width to the left of the middle of a piece: on the edge, but for the straightness of the piece.
      const x = (x1M + x2M) / 2 - (alongY * widthM) / 2;
      const y = (y1M + y2M) / 2 + (alongX * widthM) / 2;
      if (x > 0) expect(Math.abs(alongEdge(bend, x, y).leftM)).toBeLessThan(0.0005);
      // A centimetre further left it is a centimetre off, on whichever side it turns.
      const off = alongEdge(bend, x - 0.01 * alongY, y + 0.01 * alongX).leftM;
      if (x > 0.02 && off > 0) expect(off).toBeCloseTo(0.01, 3);
    }
  });

  it('tells what lies behind the bend', () => {
    const [left] = bothWays(SIZE) as [Bend];
    expect(alongEdge(left, 0.1, 0).behindM).toBe(-Infinity);
    const behind = alongEdge(left, STRAIGHT_M + SIZE.radiusM, SIZE.radiusM + 0.1);
    expect(behind.behindM).toBeCloseTo(0.1, 9);
    expect(behind.leftM).toBeCloseTo(0, 9);
  });
});

describe('following an edge round a bend', () => {
  it('the fastest that the simulator holds is what the light allows, while the robot is not late', () => {
    for (const [gain, radiusM] of [
      [1.7, 0.15],
      [5, 0.08],
      [5, 0.3],
      [10, 0.15],
    ] as const) {
      const most = mostByLightMPerS(robot, radiusM, gain);
      const { speedMPerS } = fastestRound(robot, { ...SIZE, radiusM }, gain);
      expect((speedMPerS ?? 0) / most).toBeGreaterThan(0.85);
      expect((speedMPerS ?? 0) / most).toBeLessThan(1.25);
    }
  });

  it('the gain that a bend needs holds it in every run; half of that does not', () => {
    for (const radiusM of [0.08, 0.15, 0.3]) {
      for (const speedMPerS of [0.1, 0.2, 0.3]) {
        const gain = neededGainRadPerS(robot, radiusM, speedMPerS);
        const rounds = (gainRadPerS: number) =>
          bothWays({ ...SIZE, radiusM }).flatMap((bend) =>
            [11, 12, 13].map(
              (seed) => followBend(robot, { bend, speedMPerS, gainRadPerS }, seed)?.held,
            ),
          );
        expect(rounds(gain)).not.toContain(false);
        expect(rounds(gain / 2.2)).toContain(false);
      }
    }
    // Twice as fast, or half as wide, wants twice the gain.
    const needs = neededGainRadPerS(robot, 0.15, 0.1);
    expect(neededGainRadPerS(robot, 0.15, 0.2)).toBeCloseTo(2 * needs, 9);
    expect(neededGainRadPerS(robot, 0.075, 0.1)).toBeCloseTo(2 * needs, 9);
  });

  it('a line is lost only after longer than it ever was away, and a line that ends is seen to be', () => {
    const asked = { robot, size: SIZE, speedMPerS: 0.12, gainRadPerS: null };
    const study = edgeStudy(asked);
    expect(study?.rounds.successes).toBe(30);
    expect(study?.lostAfterS).toBeGreaterThan(study?.blindS ?? Infinity);
    // Other runs than those that it was found by never are without the edge for so long.
    for (const bend of bothWays(SIZE)) {
      for (let seed = 500; seed < 510; seed += 1) {
        const followed = followBend(
          robot,
          { bend, speedMPerS: 0.12, gainRadPerS: study?.gainRadPerS ?? 0 },
          seed,
        );
        expect(followed?.blindS).toBeLessThan(study?.lostAfterS ?? 0);
      }
    }
    const value = study && calibrationFromEdge(asked, study, null);
    expect(value).toMatchObject({ held: 30, runs: 30, tightestBendM: 0.15 });
    expect(value?.targetShare).toBeCloseTo(0.36, 9);
  });

  it('the table goes before the simulator: rounds driven just so count, and one that was lost keeps it from holding', () => {
    const asked = { robot, size: SIZE, speedMPerS: 0.12, gainRadPerS: null };
    const study = edgeStudy(asked);
    if (study === null) throw new Error('it has a light sensor');
    const { gainRadPerS } = study;
    const round = { radiusM: 0.15, speedMPerS: 0.12, gainRadPerS, ended: 'held' } as const;
    const held = Array.from({ length: 9 }, () => round);
    // Faster, or with another gain, it is another question.
    const others = [
      { ...round, speedMPerS: 0.2 },
      { ...round, gainRadPerS: 2 * gainRadPerS },
    ].map((one) => ({ ...one, ended: 'lost' as const }));
    expect(heldAtTable(others, round)).toBeNull();
    const all = heldAtTable([...held, ...others], round);
    expect(all).toMatchObject({ n: 9, successes: 9 });
    expect(all && withTable(study.sentences, all).found).toBe(study.sentences.found);
    expect(all && calibrationFromEdge(asked, study, all)).not.toBeNull();
    const lost = heldAtTable([...held, { ...round, ended: 'lost' as const }], round);
    expect(lost && withTable(study.sentences, lost).found).toContain('in 1 of 10 rounds');
    expect(calibrationFromEdge(asked, study, lost)).toBeNull();
  });

  it('says why not: too fast for its gain, too tight for its track, no sensor', () => {
    const asked = { robot, size: SIZE, speedMPerS: 0.4, gainRadPerS: 2 };
    const fast = edgeStudy(asked);
    expect(fast?.rounds.successes).toBeLessThan(30);
    expect(fast?.sentences.next).toMatch(/^Drive slower, or with a gain of/);
    expect(fast && calibrationFromEdge(asked, fast, null)).toBeNull();
    const tight = edgeStudy({ ...asked, size: { ...SIZE, radiusM: 0.05 }, speedMPerS: 0.1 });
    expect(tight?.sentences.next).toContain('tighter than half of the robot’s track');
    const blind = robotSchema.parse({ wheelDiameterM: 0.056, trackM: 0.13 });
    expect(edgeStudy({ ...asked, robot: blind })).toBeNull();
  });
});
