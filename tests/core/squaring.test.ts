import { describe, expect, it } from 'vitest';
import { squaring } from '../../src/core/walls/squaring';
import { leftAfter, squaringStudy } from '../../src/core/walls/squaringStudy';
import { number, rowsOf, trueOf, within } from '../support/rows';
import { deg } from './support';

const FILE = 'wall-squaring.csv';
const recorded = rowsOf(FILE).map((row) => ({
  power: number(row, 'power_percent') / 100,
  timeS: number(row, 'time_s'),
  beforeRad: deg(number(row, 'before_deg')),
  afterRad: deg(number(row, 'after_deg')),
}));
/** Presses that take an error away with a time constant, without any scatter. */
const presses = (power: number, timeConstantS: number) =>
  [0.2, 0.4, 0.8].map((timeS) => ({
    power,
    timeS,
    beforeRad: deg(6),
    afterRad: deg(6) * Math.exp(-timeS / timeConstantS),
  }));

describe('pressing against a wall', () => {
  it('as recorded tells how fast each power straightens, and what stays', () => {
    const found = squaring(recorded);
    const at35 = found?.powers.find(({ power }) => power === 0.35);
    within(at35?.low95 ?? NaN, trueOf(FILE, 'time_constant_s_at_35_percent'), at35?.high95 ?? NaN);
    // 26 degrees of freedom: a standard deviation is known to 14 %.
    const sdDeg = ((found?.residualSdRad ?? NaN) * 180) / Math.PI;
    expect(Math.abs(sdDeg / trueOf(FILE, 'sd_deg') - 1)).toBeLessThan(0.28);
    expect(found?.inProportion).toBe(true);
  });

  it('finds the decay that was put in, each power its own where they are not in proportion', () => {
    const one = squaring(presses(0.3, 0.5));
    expect(one?.powers[0]?.timeConstantS).toBeCloseTo(0.5, 6);
    // Twice the power, but no faster: the bumper slips.
    const two = squaring([...presses(0.3, 0.5), ...presses(0.6, 0.5)]);
    expect(two?.inProportion).toBe(false);
    expect(two?.powers.map(({ timeConstantS }) => timeConstantS)).toEqual([
      expect.closeTo(0.5, 6),
      expect.closeTo(0.5, 6),
    ]);
  });

  it('says power and time after which pressing longer is lost in what stays', () => {
    const study = squaringStudy(recorded);
    if (study === null) throw new Error('nothing found');
    const { advice, found, sentences } = study;
    expect(advice.power).toBe(0.5);
    expect(advice.leftRad).toBeCloseTo(found.residualSdRad / 2, 6);
    const [, power, time] = /^Press with (\d+) % for (\d\.\d) s/.exec(sentences.found) ?? [];
    expect([Number(power), Number(time)]).toEqual([50, Number(advice.timeS.toFixed(1))]);
    // A second press as long takes the same share of the rest.
    const [best] = found.powers.toReversed();
    if (best === undefined) throw new Error('no power');
    expect(leftAfter(best, 2 * advice.timeS)).toBeCloseTo(leftAfter(best, advice.timeS) ** 2, 12);
  });

  it('tells nothing from one press each, or from a robot that was never off', () => {
    expect(squaring(recorded.slice(0, 1))).toBeNull();
    expect(squaring(recorded.map((trial, i) => ({ ...trial, power: (i + 1) / 40 })))).toBeNull();
    expect(squaring(recorded.map((trial) => ({ ...trial, beforeRad: 0 })))).toBeNull();
  });
});
