import { describe, expect, it } from 'vitest';
import { calibrationFromLineSquaring } from '../../src/core/calibration/kinds/lineSquaring/fromStudy';
import {
  lineSquaring,
  lookingSdRad,
  type LineSquaringTrial,
} from '../../src/core/light/lineSquaring';
import { lineSquaringStudy } from '../../src/core/light/lineSquaringStudy';
import { twoLightSensors } from '../../src/core/light/twoLightSensors';
import { robotSchema } from '../../src/core/robot/robot';
import { draws, least } from '../support/draws';
import { otherNoise, type OtherNoise } from '../support/otherNoise';
import { deg } from './support';

const SENSORS = { spacingM: 0.08, loopPeriodS: 0.02, sensorPeriodS: 0.01 };

/**
 * A robot that comes to a line, made up here: each side stops at the first look after its sensor is over the edge, looks
 * being a round apart; one sensor finds the line later than the other by so much.
 */
function squared(
  { uniform, normal }: OtherNoise,
  of: { speedMPerS: number; secondMPerS: number | null; laterM: number; leftShare: number },
): LineSquaringTrial {
  const beforeRad = deg(10) * (2 * uniform() - 1);
  const speed = of.secondMPerS ?? of.speedMPerS;
  const lateM = () => speed * SENSORS.loopPeriodS * uniform();
  const afterRad = (lateM() - lateM() + of.laterM) / SENSORS.spacingM + of.leftShare * beforeRad;
  const toTenth = (rad: number) => Math.round(rad / deg(0.1)) * deg(0.1);
  return {
    speedMPerS: of.speedMPerS,
    secondMPerS: of.secondMPerS,
    beforeRad: toTenth(beforeRad),
    afterRad: toTenth(afterRad + deg(0.02) * normal()),
  };
}

const many = (n: number, noise: OtherNoise, of: Parameters<typeof squared>[1]) =>
  Array.from({ length: n }, () => squared(noise, of));

describe('squaring on a line by two sensors', () => {
  it('scatters by what looking now and then makes, over the spacing', () => {
    const of = { speedMPerS: 0.2, secondMPerS: null, laterM: 0, leftShare: 0 };
    const [way] = lineSquaring(many(3000, otherNoise(2), of));
    const looking = lookingSdRad(SENSORS, 0.2);
    expect((way?.scatter.sd ?? 0) / looking).toBeGreaterThan(0.95);
    expect((way?.scatter.sd ?? 0) / looking).toBeLessThan(1.05);
    // Twice the spacing, or half the speed, halves it.
    expect(lookingSdRad({ ...SENSORS, spacingM: 0.16 }, 0.2)).toBeCloseTo(looking / 2, 12);
    expect(lookingSdRad(SENSORS, 0.1)).toBeCloseTo(looking / 2, 12);
  });

  it('intervals of what is left on average, and of the share of the error before, hold the truth', () => {
    const N = draws(400);
    const of = { speedMPerS: 0.1, secondMPerS: null, laterM: 0.001, leftShare: 0.15 };
    const truth = of.laterM / SENSORS.spacingM;
    let [bias, share] = [0, 0];
    for (let i = 0; i < N; i += 1) {
      const noise = otherNoise(100 + i);
      const [even] = lineSquaring(many(8, noise, { ...of, leftShare: 0 }));
      if (even !== undefined && even.low95 <= truth && even.high95 >= truth) bias += 1;
      const [way] = lineSquaring(many(8, noise, of));
      const left = way?.left;
      if (left == null || (left.low95 <= 0.15 && left.high95 >= 0.15)) share += 1;
    }
    expect(bias / N).toBeGreaterThan(least(0.93, N));
    expect(share / N).toBeGreaterThan(least(0.93, N));
  });

  it('a second, slower pass comes first where it scatters less, and what stays is said', () => {
    const noise = otherNoise(8);
    const once = { speedMPerS: 0.3, secondMPerS: null, laterM: 0, leftShare: 0 };
    const trials = [...many(8, noise, once), ...many(8, noise, { ...once, secondMPerS: 0.05 })];
    const study = lineSquaringStudy(trials, SENSORS);
    expect(study?.best.secondMPerS).toBe(0.05);
    expect(study?.sentences.found).toMatch(
      /^Squared at 30 cm\/s, then at 5 cm\/s, headings scatter/,
    );
    const value = study && calibrationFromLineSquaring(study.best);
    expect(value).toMatchObject({ kind: 'line-squaring', n: 8, secondMPerS: 0.05 });
    const first = lineSquaringStudy(many(8, otherNoise(21), once), SENSORS);
    expect(first?.sentences.next).toMatch(/second, slower pass/);
  });

  it('one sensor that finds the line later leaves the same heading each time: its threshold is to be read', () => {
    const of = { speedMPerS: 0.05, secondMPerS: null, laterM: 0.003, leftShare: 0 };
    const study = lineSquaringStudy(many(10, otherNoise(4), of), SENSORS);
    expect(study?.sentences.means).toMatch(
      /one sensor finds the line (2|3)\.\d mm before the other/,
    );
    expect(study?.sentences.next).toMatch(/each a threshold of its own/);
  });

  it('takes the spacing from the record, and a usual one where there are no two sensors', () => {
    const robot = (units: object[]) =>
      robotSchema.parse({ wheelDiameterM: 0.056, trackM: 0.13, units });
    const light = (id: string, leftM: number) => ({
      id,
      label: id,
      kind: 'light sensor',
      port: 'A',
      place: { aheadM: 0.08, leftM },
    });
    expect(twoLightSensors(robot([light('L', 0.05), light('R', -0.06)])).spacingM).toBeCloseTo(
      0.11,
    );
    expect(twoLightSensors(robot([])).spacingM).toBeCloseTo(0.08);
  });

  it('a single trial says only what it was', () => {
    const trial = { speedMPerS: 0.1, secondMPerS: null, beforeRad: 0.1, afterRad: 0.01 };
    const study = lineSquaringStudy([trial], SENSORS);
    expect(study?.sentences.found).toContain('one trial says only what it was');
    expect(study && calibrationFromLineSquaring(study.best)).toBeNull();
  });
});
