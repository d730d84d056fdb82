import { describe, expect, it } from 'vitest';
import { calibrationFromLinePasses } from '../../src/core/calibration/kinds/lineCrossing/fromStudy';
import { kindOfCalibration } from '../../src/core/calibration/registry';
import { linePasses, type LinePass } from '../../src/core/light/linePasses';
import { linePassesStudy } from '../../src/core/light/linePassesStudy';
import { thresholdShares } from '../../src/core/light/thresholdShares';
import { draws, least } from '../support/draws';
import { otherNoise, type OtherNoise } from '../support/otherNoise';

const FORWARDS = { drives: 'forwards', on: 'entering' } as const;
const BACKWARDS = { drives: 'backwards', on: 'entering' } as const;

interface Truth {
  lateS: number;
  offsetM: number;
  sdM: number;
  missShare: number;
}

/** A pass of a robot made up here, read off in millimetres. */
function pass(
  { uniform, normal }: OtherNoise,
  { lateS, offsetM, sdM, missShare }: Truth,
  made: Pick<LinePass, 'by' | 'drives' | 'on' | 'speedMPerS'>,
): LinePass {
  if (uniform() < missShare) return { ...made, noticed: 'nothing', overM: null };
  const overM = offsetM + lateS * made.speedMPerS + sdM * normal();
  return { ...made, noticed: 'line', overM: Math.round(1000 * overM) / 1000 };
}

describe('passes over a line', () => {
  it('intervals of lateness, of the overrun, of the next stop and of misses hold the truth', () => {
    const N = draws(800);
    const truth = { lateS: 0.06, offsetM: 0.004, sdM: 0.002, missShare: 0.1 };
    const held = { late: 0, over: 0, next: 0, wrong: 0 };
    for (let i = 0; i < N; i += 1) {
      const noise = otherNoise(i + 1);
      const passes = Array.from({ length: 16 }, (_, k) =>
        pass(noise, truth, { by: 'brightness', ...FORWARDS, speedMPerS: k % 2 === 0 ? 0.1 : 0.3 }),
      );
      const [way] = linePasses(passes, 0.2, FORWARDS);
      const over = way?.overruns[0];
      const within = (value: number, of: { low95: number; high95: number } | null | undefined) =>
        of !== null && of !== undefined && value >= of.low95 && value <= of.high95 ? 1 : 0;
      held.late += within(truth.lateS, way?.delayS);
      held.over += within(truth.offsetM + 0.2 * truth.lateS, over?.over);
      held.next += within(
        truth.offsetM + 0.2 * truth.lateS + truth.sdM * noise.normal(),
        over?.next,
      );
      held.wrong += within(truth.missShare, way?.wrong);
    }
    expect(held.late).toBeGreaterThan(least(0.95, N) * N);
    expect(held.over).toBeGreaterThan(least(0.95, N) * N);
    expect(held.next).toBeGreaterThan(least(0.95, N) * N);
    expect(held.wrong).toBeGreaterThan(least(0.93, N) * N);
  });

  const many = (n: number, seed: number, truth: Truth, made: Parameters<typeof pass>[2]) => {
    const noise = otherNoise(seed);
    return Array.from({ length: n }, () => pass(noise, truth, made));
  };
  const GOOD = { lateS: 0.05, offsetM: 0, sdM: 0.001, missShare: 0 };

  it('the way that goes wrong less often stands first, and says what is proved of the other', () => {
    const passes = [
      ...many(30, 1, { ...GOOD, missShare: 0.5 }, { by: 'ambient', ...FORWARDS, speedMPerS: 0.2 }),
      ...many(30, 2, GOOD, { by: 'brightness', ...FORWARDS, speedMPerS: 0.2 }),
    ];
    const study = linePassesStudy(passes);
    expect(study?.ways.map(({ by }) => by)).toEqual(['brightness', 'ambient']);
    expect(study?.sentences.found).toMatch(/^By its brightness at 20 cm\/s it stands 10 mm/);
    expect(study?.sentences.found).toContain('none of 30 wrong (at most 11 %)');
    expect(study?.sentences.means).toContain('that is worse');
    // The same with three passes each proves nothing.
    const few = linePassesStudy([...passes.slice(0, 3), ...passes.slice(30, 33)]);
    expect(few?.sentences.means).toContain('that proves no difference yet');
  });

  it('directions that stop elsewhere are told apart; alike ones are not', () => {
    const made = { by: 'brightness', speedMPerS: 0.2 } as const;
    const forwards = many(8, 3, GOOD, { ...made, ...FORWARDS });
    const further = many(8, 4, { ...GOOD, offsetM: 0.008 }, { ...made, ...BACKWARDS });
    expect(linePassesStudy([...forwards, ...further])?.sentences.means).toMatch(
      /Backwards onto the line it stands [789] mm further than forwards onto the line/,
    );
    const alike = many(8, 5, GOOD, { ...made, ...BACKWARDS });
    expect(linePassesStudy([...forwards, ...alike])?.sentences.means).not.toContain('further than');
  });

  it('each direction at a speed of its own tells no lateness, but where it stands', () => {
    const made = { by: 'brightness', on: 'entering' } as const;
    const passes = [
      ...many(6, 21, GOOD, { ...made, drives: 'forwards', speedMPerS: 0.2 }),
      ...many(5, 22, GOOD, { ...made, drives: 'backwards', speedMPerS: 0.1 }),
    ];
    const study = linePassesStudy(passes);
    expect(study?.best.delayS).toBeNull();
    expect(study?.best.overruns.map(({ n }) => n)).toEqual([6, 5]);
    expect(study?.sentences.found).toContain('it stands 10 mm');
  });

  it('what was measured is applied; one pass alone, or misses alone, are not', () => {
    const made = { by: 'colour', ...FORWARDS, speedMPerS: 0.2 } as const;
    const one = linePassesStudy(many(1, 6, GOOD, made));
    expect(one && calibrationFromLinePasses(one)).toBeNull();
    const missed = linePassesStudy(many(6, 7, { ...GOOD, missShare: 1 }, made));
    expect(missed?.sentences.found).toContain('none measured');
    expect(missed?.sentences.next).toContain('drive slower');
    expect(missed && calibrationFromLinePasses(missed)).toBeNull();
    const study = linePassesStudy(many(10, 8, GOOD, made));
    const value = study && calibrationFromLinePasses(study);
    expect(value?.overruns[0]?.overM).toBeCloseTo(0.01, 2);
    expect(value && kindOfCalibration('line-crossing').describe(value)).toMatch(
      /^by its colour at 20 cm\/s: 10 mm ± .* past the edge forwards onto the line$/,
    );
    expect(linePassesStudy([])).toBeNull();
  });

  it('a program goes by the threshold that holds, else by the middle of what the record has', () => {
    const unit = {
      floorShare: 0.6,
      lineShare: 0.1,
      noiseShare: 0.01,
      spotDiameterM: 0.006,
      periodS: 0.01,
    };
    const { enterShare, leaveShare, lineIs } = thresholdShares(null, unit);
    expect(lineIs).toBe('darker');
    expect((enterShare + leaveShare) / 2).toBeCloseTo(0.35, 9);
    expect(enterShare).toBeLessThan(leaveShare);
    const lighter = thresholdShares(null, { ...unit, floorShare: 0.1, lineShare: 0.6 });
    expect(lighter.lineIs).toBe('lighter');
    expect(lighter.enterShare).toBeGreaterThan(lighter.leaveShare);
  });
});
