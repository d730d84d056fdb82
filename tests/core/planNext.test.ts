import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { compareSeries } from '../../src/core/compare/compareSeries';
import { otherDifferences, unfairSentence } from '../../src/core/compare/conditions';
import { mixedOrder } from '../../src/core/compare/plan/mixedOrder';
import { planRuns } from '../../src/core/compare/plan/wish';
import {
  isSelected,
  partText,
  selectionFrom,
  selectionParams,
} from '../../src/formats/runs/selection';
import { wishFrom } from '../../src/formats/runs/wishFrom';
import { origin, recordedRuns } from './support';

const found = compareSeries(recordedRuns('runs-before'), recordedRuns('runs-after'), origin);
if (found === null) throw new Error('no comparison');

describe('the order of two ways', () => {
  it('gives both as many runs, and neither the better half of a battery', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), (perSeries) => {
        const order = mixedOrder(perSeries);
        const places = (way: string) => order.flatMap((one, i) => (one === way ? [i] : []));
        expect(places('A')).toHaveLength(perSeries);
        expect(places('B')).toHaveLength(perSeries);
        const sum = (values: number[]) => values.reduce((a, b) => a + b, 0);
        // On average both come at the same time.
        expect(Math.abs(sum(places('A')) - sum(places('B'))) / perSeries).toBeLessThanOrEqual(1);
      }),
    );
    expect(mixedOrder(4).join('')).toBe('ABBABAAB');
  });
});

describe('a wish', () => {
  const plan = (want: string, by: string) => {
    const { wish, problem } = wishFrom(new URLSearchParams({ want, by }));
    return wish === null ? problem : planRuns(wish, found);
  };

  it('is told how many runs it takes, the more the smaller it is', () => {
    const count = (want: string, by: string) => {
      const told = plan(want, by);
      return typeof told === 'object' && told !== null ? told.order.length : Number.NaN;
    };
    expect(count('spread', '10')).toBeGreaterThan(5);
    expect(count('spread', '8')).toBeGreaterThan(count('spread', '10'));
    expect(count('aim', '20')).toBeGreaterThan(3);
  });

  it('that cannot be is refused in a sentence', () => {
    expect(plan('spread', '900')).toMatchObject({ sentence: /cannot come down by/, order: [] });
    expect(plan('success', '11')).toMatchObject({ sentence: /more than all/ });
    expect(plan('spread', 'much')).toMatch(/no such number/);
    expect(plan('spread', '-3')).toMatch(/above 0/);
    expect(plan('aim', '0.2')).toMatchObject({ sentence: /more than 500 runs/ });
  });
});

describe('what else differs', () => {
  const side = (table: string, battery: string[]) => ({
    robot: ['Pipit'],
    'route version': ['Round 1'],
    table: [table],
    battery,
    'placed by': ['Moss'],
  });

  it('makes a comparison unfair where nothing is common, and is borne in mind where something is', () => {
    const said = (a: ReturnType<typeof side>, b: ReturnType<typeof side>) =>
      unfairSentence(otherDifferences(a, b));
    expect(said(side('club', ['B1']), side('club', ['B1']))).toBeNull();
    expect(said(side('club', ['B1']), side('venue', ['B1', 'B3']))).toBe(
      'Not a fair comparison: they also differ in table (club against venue). Any of that may have done it. Bear in mind that they partly differ in battery (B1 against B1, B3).',
    );
    // Nothing was noted: nothing is known to differ.
    expect(said(side('club', []), side('club', ['B1']))).toBeNull();
  });

  it('is not said of what was chosen to differ', () => {
    const [a, b] = [side('club', ['B1']), side('club', ['B2'])];
    expect(otherDifferences(a, b, ['battery'])).toEqual([]);
  });
});

describe('a part of a series', () => {
  const series = '01DEMS00000000000000000002';
  it('is read from an address, and said in words', () => {
    const params = new URLSearchParams({ 'a.series': series, 'a.person': 'Moss', 'a.from': '5' });
    const selection = selectionFrom('a', params);
    if (selection === null) throw new Error('nothing selected');
    expect(partText(selection)).toBe('runs 5 to the last, placed by Moss');
    const run = (number: number, placedBy: string | null) => ({
      number,
      placedBy,
      battery: null,
      happenedAt: `2026-11-07T14:0${number}:00.000Z`,
    });
    const chosen = [run(4, 'Moss'), run(5, 'Moss'), run(6, 'Juniper'), run(7, null)];
    expect(chosen.filter(isSelected(selection)).map(({ number }) => number)).toEqual([5]);
    // A minute on the team's clocks parts what was before a change from what was after it.
    const at = selectionFrom(
      'a',
      new URLSearchParams({ 'a.of': `route:${series}`, 'a.since': '2026-11-07T14:06' }),
    );
    if (at === null) throw new Error('nothing selected');
    expect(chosen.filter(isSelected(at)).map(({ number }) => number)).toEqual([6, 7]);
    expect(partText(at)).toBe('from 2026-11-07 14:06');
    expect(selectionFrom('a', new URLSearchParams(selectionParams('a', at)))).toEqual(at);
    expect(selectionFrom('b', params)).toBeNull();
    expect(selectionFrom('a', new URLSearchParams({ 'a.series': 'x' }))).toBeNull();
  });
});
