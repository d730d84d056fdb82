import { describe, expect, it } from 'vitest';
import { ownChance, type AtMark } from '../../src/core/forecast/ownRuns';
import type { Sensitivity } from '../../src/core/forecast/sensitivities';
import { normalCdf } from '../../src/core/stats/normalCdf';
import { generator, normal } from '../support/eulerRobot';

const RUNS = 250;
const WINDOW_M = 0.012;

/** Runs that scatter across a mission's window and lie in its middle. */
function missionOf(sdM: number, seed: number): AtMark {
  const random = generator(seed);
  return {
    key: 'm',
    poses: Array.from({ length: RUNS }, () => ({ xM: 0, yM: sdM * normal(random), headingRad: 0 })),
    works: ({ yM }) => Math.abs(yM) <= WINDOW_M,
  };
}
const pose = (yM: number) => ({ xM: 0, yM, headingRad: 0 });
const moves = (yM: number): Sensitivity => ({
  name: 'aim of the start jig',
  end: pose(yM),
  marks: new Map([['m', pose(yM)]]),
});
const scatters = (share: number, logSd: number): Sensitivity => ({
  name: 'scatter of drives',
  end: pose(0),
  marks: new Map(),
  spread: { end: pose(share), marks: new Map([['m', pose(share)]]) },
  logSd,
});
const rateOf = ({ poses, works }: AtMark) => poses.filter(works).length / RUNS;
const chanceOf = (mission: AtMark, sensitivities: Sensitivity[]) => {
  const range = ownChance([mission], sensitivities, 4, rateOf(mission));
  if (range === null) throw new Error('no range');
  return range;
};

describe('the chance of this very robot', () => {
  it('holds that of robots in the middle of the window, where most of them are, as it may be counted', () => {
    let held = 0;
    for (let seed = 0; seed < 40; seed += 1) {
      const range = chanceOf(missionOf(0.0055, seed), [moves(0.002)]);
      const random = generator(900 + seed);
      const offM = 0.002 * normal(random);
      const truly = Array.from({ length: RUNS }, () => offM + 0.0055 * normal(random));
      const worked = truly.filter((yM) => Math.abs(yM) <= WINDOW_M).length / RUNS;
      if (range.low <= worked && worked <= range.high) held += 1;
    }
    expect(held / 40).toBeGreaterThanOrEqual(0.92);
  });

  it('is as wide as the doubt about the scatter makes it', () => {
    const mission = missionOf(0.0075, 3);
    const sure = chanceOf(mission, [moves(0)]);
    const doubtful = chanceOf(mission, [moves(0), scatters(1, 0.3)]);
    // A robot that scatters by e^0.59 as much, or as little, in 95 of 100.
    const chanceAt = (sdM: number) => 1 - 2 * normalCdf(-WINDOW_M, 0, sdM);
    expect(doubtful.low).toBeLessThan(chanceAt(0.0075 * Math.exp(0.3)));
    expect(doubtful.low).toBeGreaterThan(chanceAt(0.0075 * Math.exp(0.9)));
    expect(doubtful.high).toBeGreaterThan(sure.high);
    // What makes no part of its scatter makes no difference.
    const other = chanceOf(mission, [moves(0), scatters(0, 0.3)]);
    expect(other.low).toBeCloseTo(sure.low, 6);
  });
});
