import { describe, expect, it } from 'vitest';
import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import type { CalibrationValue } from '../../src/core/calibration/calibration';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { creepFirst } from '../../src/core/gyro/creepFirst';
import { restsOn, type KnownBy } from '../../src/core/sources/restsOn';
import { restsOnSentence } from '../../src/core/sources/restsOnSentence';
import { doubtsOf, SOURCES } from '../../src/core/sources/sources';
import { pipit } from '../../src/server/demo/scenario';
import { deg } from './support';

const straight: CalibrationValue = {
  kind: 'straight',
  scaleFactor: 1.02,
  scaleFactorSe: 0.001,
  coastM: 0.004,
  residualSdM: 0.003,
  scatterFreedom: 9,
  atMid: { distanceM: 0.7, seM: 0.001 },
};
const byTrials = (value: CalibrationValue): KnownBy => ({
  value,
  madeAt: '2026-11-12T16:00:00.000Z',
  trials: 12,
});
const rowsOf = (values: CalibrationValue[]) =>
  restsOn(fittedRobot(pipit, values).robot, doubtsOf(values), values.map(byTrials));
const rowOf = (values: CalibrationValue[], name: string) =>
  rowsOf(values).find((row) => row.name === name);

describe('what a figure rests on', () => {
  it('is a guess for every figure until somebody has measured it, and says within what', () => {
    const rows = rowsOf([]);
    expect(rows).toHaveLength(SOURCES.length);
    for (const { by, within, isMeasured } of rows) {
      expect(isMeasured).toBe(false);
      expect(by).toBe('a guess');
      expect(within).toMatch(/\d|nobody knows/);
      expect(within).not.toMatch(/NaN|Infinity|± 0(\.0+)? /);
    }
    expect(restsOnSentence(rows)).toContain('all figures are guesses');
  });

  it('is the day and the trials where it was measured, with the figure that is computed with', () => {
    // 56.0 mm by a ruler, measured 2 % larger, to 0.1 % (95 % of a normal error: 0.196 %).
    expect(rowOf([straight], 'wheel size')).toEqual({
      name: 'wheel size',
      figure: '57.1 mm',
      within: '± 0.2 %',
      isMeasured: true,
      by: 'measured 2026-11-12, 12 trials',
      procedure: 'straight',
    });
    expect(rowOf([straight], 'track width')).toMatchObject({ by: 'a guess', within: '± 3.9 %' });
    // Nine degrees of freedom: the logarithm of a standard deviation is known to 1/√18.
    expect(rowOf([straight], 'scatter of drives')?.within).toBe('0.6 to 1.6 times that');
  });

  it('says of an earlier method that it is one', () => {
    const { atMid: _, ...earlier } = straight;
    const kept = calibrationValueSchema.parse(earlier);
    expect(rowOf([kept], 'wheel size')?.by).toContain('by an earlier method, 2026-11-12');
  });

  it('is never said to be measured by what does not tell it', () => {
    const turns: CalibrationValue = {
      kind: 'turns',
      groups: [],
      lagS: null,
      brakingRadPerS2: null,
      gyroScale: { scaleError: 0, se: 0.01, by: 'trials', upToRateRadPerS: null },
    };
    const scale = rowOf([turns], 'scale of the heading sensor');
    expect(scale?.isMeasured).toBe(false);
    expect(scale?.by).toContain('does not tell it');
  });
});

describe('a known creep', () => {
  const check = (verdict: 're-zero' | 'steady', takenAt: string) => ({
    takenAt,
    result: { verdict, driftRadPerS: deg(1), low95: deg(0.99), high95: deg(1.01) },
  });
  const now = new Date('2026-11-20T12:00:00.000Z');

  it('of today is mended first; one of another day is checked again first', () => {
    expect(creepFirst(check('re-zero', '2026-11-20T11:00:00.000Z'), now)).toEqual({
      id: 're-zero',
      why: expect.stringMatching(
        /creeps by 1\.\d+ ± 0\.0\d+ °\/s: start the sensor anew/,
      ) as string,
    });
    expect(creepFirst(check('re-zero', '2026-11-17T11:00:00.000Z'), now)).toMatchObject({
      id: 'still',
      why: expect.stringContaining('3 days old') as string,
    });
  });

  it('stops nobody where the last check was healthy, or none was made', () => {
    expect(creepFirst(check('steady', '2026-11-20T11:00:00.000Z'), now)).toBeNull();
    expect(creepFirst(undefined, now)).toBeNull();
  });
});
