import { describe, expect, it } from 'vitest';
import { ANSWERS, answerOf } from '../../src/core/drill/answers';
import type { DrillCause } from '../../src/core/drill/cause';
import { drillStudy } from '../../src/core/drill/drillStudy';
import { DRILL_CAUSES, drillTask } from '../../src/core/drill/registry';
import { randomStream } from '../../src/core/stats/random';
import { sensorLag } from '../../src/core/loop/sensorLag';
import { gainTrace } from '../../src/core/tuning/gainTrace';
import { SHOWN } from '../../src/core/control/tuned';
import { deg } from './support';

const CASES = 25;
const casesOf = (id: string) => {
  const cause = DRILL_CAUSES.find((one) => one.id === id);
  if (cause === undefined) throw new Error(id);
  return Array.from({ length: CASES }, (_, i) => cause.make(randomStream(3, i, id)));
};
const curve = (shown: ReturnType<DrillCause['make']>, chart: number, at: number) => {
  const found = shown.charts[chart]?.curves[at];
  if (found === undefined) throw new Error('no curve');
  return found;
};
const read = (shown: ReturnType<DrillCause['make']>) => curve(shown, 0, 0);
const steps = (y: readonly number[]) => y.slice(1).map((value, i) => value - (y[i] ?? value));

describe('a drill', () => {
  it.each(['good', 'too-weak', 'too-strong', 'wrong-sign'])(
    'shows turns that the judge of gains calls %s',
    (id) => {
      for (const shown of casesOf(id)) {
        const { x, y } = read(shown);
        const told = curve(shown, 1, 0).y;
        const trace = { tS: x, error: y.map((one) => -deg(one)), correction: told.map(deg) };
        expect(gainTrace(trace, SHOWN.turn.bandRad)?.verdict).toBe(id);
      }
    },
  );

  it('shows a late sensor by its two lines: the heading comes after the encoders, where a gain is too strong it does not', () => {
    const lagOf = (shown: ReturnType<DrillCause['make']>) => {
      const [heading, encoders] = [read(shown), curve(shown, 0, 1)];
      return sensorLag(heading.x, heading.y, encoders.y, 0.01)?.lagS ?? 0;
    };
    for (const shown of casesOf('late-sensor')) expect(lagOf(shown)).toBeGreaterThan(0.2);
    for (const shown of casesOf('too-strong')) expect(lagOf(shown)).toBeLessThan(0.1);
  });

  it('shows motors at their limit: told far more than is turned', () => {
    for (const shown of casesOf('saturated')) {
      const { x, y } = read(shown);
      const at = x.findIndex((t) => t > 0.5);
      const turned = ((y[at] ?? 0) - (y[at + 50] ?? 0)) / ((x[at + 50] ?? 0) - (x[at] ?? 0));
      expect(Math.abs(curve(shown, 1, 0).y[at] ?? 0)).toBeGreaterThan(1.5 * turned);
    }
  });

  it('shows what hides in programs: a missed value, a jump of a counter, a short turn, a long way, a threshold too low', () => {
    for (const shown of casesOf('missed-equality')) {
      expect(read(shown).y).not.toContain(90);
      expect(Math.max(...read(shown).y)).toBeGreaterThan(150);
    }
    for (const shown of casesOf('rolled-over')) {
      expect(Math.min(...steps(read(shown).y))).toBeLessThan(-1900);
    }
    for (const shown of casesOf('motor-angle')) {
      const motor = Math.max(...curve(shown, 0, 1).y);
      expect(shown.told).toContain(`by ${motor}°`);
      expect(Math.max(...read(shown).y)).toBeLessThan(0.6 * motor);
    }
    for (const shown of casesOf('long-way')) {
      const { y } = read(shown);
      expect(Math.abs((y.at(-1) ?? 0) - (y[0] ?? 0))).toBeGreaterThan(300);
    }
    for (const shown of casesOf('stale-threshold')) {
      expect(Math.min(...read(shown).y)).toBeGreaterThan(curve(shown, 0, 1).y[0] ?? 0);
    }
    for (const shown of casesOf('as-told')) {
      expect(read(shown).y.at(-1)).toBeGreaterThanOrEqual(90);
      expect(read(shown).y.at(-1)).toBeLessThan(95);
    }
  });

  it('draws every cause, the same under the same number, among answers that name it', () => {
    const tasks = Array.from({ length: 200 }, (_, seed) => drillTask(seed));
    expect(new Set(tasks.map(({ cause }) => cause.id))).toEqual(new Set(Object.keys(ANSWERS)));
    expect(drillTask(7)).toEqual(drillTask(7));
    for (const { cause, answers, shown } of tasks) {
      expect(answers).toContain(cause);
      expect(answers).toHaveLength(6);
      // The pictures do not tell the answer.
      expect(JSON.stringify(shown)).not.toContain(answerOf(cause.id));
    }
  });

  it('says how somebody gets better, and what is taken for what', () => {
    const said = (cause: string, answer: string, day: number) => ({
      cause,
      answer,
      answeredAt: `2026-11-${10 + day}T12:00:00.000Z`,
    });
    const answers = [
      said('late-sensor', 'too-strong', 0),
      said('late-sensor', 'too-strong', 0),
      said('good', 'good', 0),
      ...Array.from({ length: 9 }, () => said('late-sensor', 'late-sensor', 1)),
    ];
    const study = drillStudy(answers);
    expect(study?.sentences.found).toBe('10 of 12 traces judged right, 10 of the last 10.');
    expect(study?.sentences.means).toBe(
      'Most often missed: “The sensor tells too late”, taken for “The gain is too strong”.',
    );
    expect(study?.days.map(({ day, rate }) => [day, rate.successes, rate.n])).toEqual([
      ['2026-11-10', 1, 3],
      ['2026-11-11', 9, 9],
    ]);
    expect(drillStudy([])).toBeNull();
    expect(answerOf('of a later Corvat')).toBe('of a later Corvat');
  });
});
