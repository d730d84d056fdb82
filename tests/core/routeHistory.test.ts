import { describe, expect, it } from 'vitest';
import { controlChart } from '../../src/core/compare/controlChart';
import { routeHistory, type HistoryRun } from '../../src/core/compare/routeHistory';
import { randomStream } from '../../src/core/stats/random';

const run = (part: Partial<HistoryRun>): HistoryRun => ({
  seriesId: 'a',
  number: 1,
  day: '2026-11-07',
  errorM: 0.02,
  cause: null,
  note: null,
  ...part,
});

/** So many runs about a distance, up and down by two millimetres. */
const alike = (n: number, errorM: number, part: Partial<HistoryRun>) =>
  Array.from({ length: n }, (_, i) =>
    run({ number: i + 1, errorM: errorM + (i % 2) * 0.002, ...part }),
  );

describe('all runs of a route', () => {
  it('begin anew with each series and each day: what was changed on purpose is no signal', () => {
    const runs = [
      ...alike(8, 0.02, {}),
      ...alike(8, 0.05, { seriesId: 'b' }),
      ...alike(8, 0.09, { seriesId: 'b', day: '2026-11-08' }),
    ];
    const { errors, standOut } = routeHistory(runs);
    expect(errors.stretches.map(({ from, to }) => [from, to])).toEqual([
      [0, 7],
      [8, 15],
      [16, 23],
    ]);
    expect(standOut).toEqual([]);
    expect(errors.sentence).toMatch(/^Last 91 mm from the target on average; .*No run stands out/);
  });

  it('tell which run stands out, with its own number and what was noted', () => {
    const odd = run({ seriesId: 'b', number: 7, errorM: 0.08, cause: 'hit something' });
    const runs = [
      ...alike(6, 0.02, {}),
      ...alike(6, 0.02, { seriesId: 'b' }),
      odd,
      ...alike(5, 0.02, { seriesId: 'b' }),
    ];
    const { errors, standOut } = routeHistory(runs);
    expect(standOut).toEqual([{ run: odd, rule: 'beyond-limits' }]);
    expect(errors.numbers.at(-1)).toBe(runs.length);
    expect(errors.sentence).toContain('1 run stands out');
  });

  it('are not judged by fewer than five made alike', () => {
    const { errors } = routeHistory([...alike(4, 0.02, {}), ...alike(3, 0.05, { seriesId: 'b' })]);
    expect(errors.stretches.every(({ chart }) => chart === null)).toBe(true);
    expect(errors.sentence).toMatch(/Five measured ends made alike are needed/);
    expect(routeHistory([]).standOut).toEqual([]);
  });
});

describe('the signals of a chart', () => {
  it('come at their nominal rate where nothing changes', () => {
    const random = randomStream(5, 0, 'control chart');
    const n = 60_000;
    const { signals } = controlChart(Array.from({ length: n }, () => random.normal()));
    const rate = (rule: string) => signals.filter((signal) => signal.rule === rule).length / n;
    // Three standard deviations; the ninth on one side of the middle; six values that rise, or fall.
    for (const [rule, nominal] of [
      ['beyond-limits', 0.0027],
      ['nine-on-one-side', 2 ** -8],
      ['six-in-a-trend', 2 / 720],
    ] as const) {
      expect(rate(rule) / nominal, rule).toBeGreaterThan(0.75);
      expect(rate(rule) / nominal, rule).toBeLessThan(1.25);
    }
  });
});
