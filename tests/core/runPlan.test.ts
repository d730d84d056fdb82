import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lookAllowed } from '../../src/core/compare/plan/lookOnce';
import { mixedOrderOfFour, orderOf } from '../../src/core/compare/plan/mixedOrder';
import { plannedVerdict } from '../../src/core/compare/plan/plannedVerdict';
import { planProgress } from '../../src/core/compare/plan/progress';
import { twoByTwo } from '../../src/core/compare/plan/twoByTwo';
import { twoByTwoSentences } from '../../src/core/compare/plan/twoByTwoSentences';
import { planRuns } from '../../src/core/compare/plan/wish';
import { compareSeries } from '../../src/core/compare/compareSeries';
import { randomStream, type RandomStream } from '../../src/core/stats/random';
import { origin, recordedRuns } from './support';
import { draws, least, most } from '../support/draws';

const cloud = (random: RandomStream, n: number, sdM = 0.01) =>
  Array.from({ length: n }, () => ({
    xM: sdM * random.normal(),
    yM: sdM * random.normal(),
    success: random.uniform() < 0.7,
  }));

const fallingOff = [0.018, 0.018, 0.009, 0.009] as const;

describe('the order of a plan', () => {
  it('of four ways gives each every place of four once, and each follows each once within them', () => {
    const order = mixedOrderOfFour(4);
    const fours = [0, 4, 8, 12].map((from) => order.slice(from, from + 4));
    for (const four of fours) expect(new Set(four).size).toBe(4);
    for (const place of [0, 1, 2, 3])
      expect(new Set(fours.map((four) => four[place])).size).toBe(4);
    const pairs = fours.flatMap((four) => four.slice(1).map((way, i) => `${four[i]}${way}`));
    expect(new Set(pairs).size).toBe(12);
  });

  it('goes on after a run out of turn, is done when each way has its runs, and set-aside runs come again', () => {
    const order = orderOf(2, 2);
    expect(planProgress(order, [0, 0])).toMatchObject({ made: 0, next: 'A' });
    expect(planProgress(order, [1, 0])).toMatchObject({ made: 1, next: 'B' });
    // A second A before its turn: B is still to come, then again B.
    const early = planProgress(order, [2, 0]);
    expect(early.order.map(({ isMade }) => isMade)).toEqual([true, false, false, true]);
    expect(early.next).toBe('B');
    expect(planProgress(order, [2, 2])).toMatchObject({ made: 4, next: null });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.constantFrom(2, 4), (perSeries, ways) => {
        const whole = orderOf(ways, perSeries);
        const counts = Array.from({ length: ways }, () => 0);
        // Whoever does what is said comes to the end with as many runs of each.
        for (let i = 0; i < whole.length; i += 1) {
          const next = planProgress(whole, counts).next;
          const at = 'ABCD'.indexOf(next ?? 'x');
          counts[at] = (counts[at] ?? 0) + 1;
        }
        expect(planProgress(whole, counts).next).toBeNull();
        expect(counts.every((count) => count === perSeries)).toBe(true);
      }),
    );
  });
});

describe('a plan of one change', () => {
  it('is looked at half-way and at the end, whatever was made besides', () => {
    expect(lookAllowed(9, [4, 9]).at).toBe('too early');
    expect(lookAllowed(9, [5, 8])).toMatchObject({ at: 'half', runsEach: 5 });
    expect(lookAllowed(9, [12, 9])).toMatchObject({ at: 'end', runsEach: 9 });
  });

  it('with both looks taken cries wolf in at most 5 of 100 plans, and stops early for what is plain', () => {
    const perSeries = 14;
    let wolf = 0;
    const plans = draws(400);
    for (let i = 0; i < plans; i += 1) {
      const random = randomStream(i, 1, 'plans');
      const [a, b] = [cloud(random, perSeries), cloud(random, perSeries)];
      const half = plannedVerdict(
        { about: 'spread', perSeries },
        a.slice(0, 7),
        b.slice(0, 7),
        origin,
      );
      const end = plannedVerdict({ about: 'spread', perSeries }, a, b, origin);
      const shown = [half, end].some(({ answer }) => answer !== 'no-difference-shown');
      if (shown) wolf += 1;
    }
    expect(wolf / plans).toBeLessThan(most(0.05, plans));
    expect(wolf / plans).toBeGreaterThan(least(0.045, plans));
    const random = randomStream(5, 2, 'plain');
    const [a, b] = [cloud(random, 7, 0.06), cloud(random, 7, 0.005)];
    const plain = plannedVerdict({ about: 'spread', perSeries }, a, b, origin);
    expect(plain).toMatchObject({ answer: 'helped', isOver: true });
    expect(plain.sentence).toMatch(/^It helped: spread \d+ mm → \d+ mm.*you may stop here/);
    const open = plannedVerdict({ about: 'spread', perSeries }, a, cloud(random, 7, 0.05), origin);
    expect(open).toMatchObject({ isOver: false });
    expect(open.sentence).toMatch(/go on to the end/);
  });

  it('shows nothing before it may be looked at, and judges the planned runs alone at the end', () => {
    const random = randomStream(6, 2, 'plain');
    const early = plannedVerdict(
      { about: 'success', perSeries: 10 },
      cloud(random, 4),
      cloud(random, 10),
      origin,
    );
    expect(early).toMatchObject({ answer: null, comparison: null, isOver: false });
    expect(early.sentence).toContain('the first look is with 5 runs of each');
    const [a, b] = [cloud(random, 14), cloud(random, 10)];
    const end = plannedVerdict({ about: 'aim', perSeries: 10 }, a, b, origin);
    expect(end.comparison?.a.n).toBe(10);
    expect(end.sentence).toMatch(/No difference of the aim is shown: .* from the target/);
  });

  it('needs fewer runs than three questions at once, and two changes at once fewer still', () => {
    const found = compareSeries(recordedRuns('runs-before'), recordedRuns('runs-after'), origin);
    if (found === null) throw new Error('no comparison');
    const wish = { about: 'spread', lessM: (found.a.meanDistanceM ?? 0) * 0.4 } as const;
    const [one, two] = [planRuns(wish, found, 1), planRuns(wish, found, 2)];
    expect(4 * (two.perSeries ?? NaN)).toBeLessThan(4 * (one.perSeries ?? NaN));
    expect(two.order).toHaveLength(4 * (two.perSeries ?? 0));
    expect(two.sentence).toContain('of the four ways');
    let shown = 0;
    const pairs = draws(200);
    for (let i = 0; i < pairs; i += 1) {
      const random = randomStream(i, 4, 'promised');
      const n = one.perSeries ?? 0;
      const { answer } = plannedVerdict(
        { about: 'spread', perSeries: n },
        cloud(random, n, 0.01),
        cloud(random, n, 0.006),
        origin,
      );
      if (answer === 'helped') shown += 1;
    }
    expect(shown / pairs).toBeGreaterThan(least(0.8, pairs));
  });
});

describe('two changes at once', () => {
  const on = (values: number[]) => values.map((xM) => ({ xM, yM: 0 }));

  it('are told apart as by the analysis of variance of unequal groups', () => {
    // Least squares on coded columns, computed elsewhere.
    const found = twoByTwo(
      'aim',
      [on([10, 12, 9, 15]), on([7, 8, 9]), on([11, 10, 14, 12, 9]), on([3, 4, 6, 5])],
      origin,
    );
    expect(found?.first.change).toBeCloseTo(-5.1, 9);
    expect(found?.first.low95).toBeCloseTo(-7.191420734219, 8);
    expect(found?.first.high95).toBeCloseTo(-3.008579265781, 8);
    expect(found?.first.pValue).toBeCloseTo(0.00018435617942, 9);
    expect(found?.second.change).toBeCloseTo(-1.9, 9);
    expect(found?.second.pValue).toBeCloseTo(0.0711789968168, 9);
    expect(found?.together.change).toBeCloseTo(-3.2, 9);
    expect(found?.together.pValue).toBeCloseTo(0.1214086353746, 9);
    expect(found?.keep).toBe(1);
  });

  it('that do nothing are said to do something in at most 5 of 100 plans, and what helps is kept', () => {
    const ways = (i: number, sds: readonly number[]) => {
      const random = randomStream(i, 3, 'four ways');
      const [a, b, c, d] = sds.map((sdM) => cloud(random, 14, sdM));
      return [a ?? [], b ?? [], c ?? [], d ?? []] as const;
    };
    let wolf = 0;
    let kept = 0;
    for (let i = 0; i < 500; i += 1) {
      const idle = twoByTwo('spread', ways(i, [0.01, 0.01, 0.01, 0.01]), origin);
      if ([idle?.first, idle?.second, idle?.together].some((one) => one?.isShown)) wolf += 1;
      if (twoByTwo('spread', ways(i, fallingOff), origin)?.keep === 2) kept += 1;
    }
    expect(wolf / 500).toBeLessThan(0.05 + 3 * 0.01);
    expect(kept / 500).toBeGreaterThan(0.85);
  });

  it('get four answers in words, and a way with too few measured ends gets none', () => {
    const random = randomStream(2, 3, 'words');
    const [a, b, c, d] = fallingOff.map((sdM) => cloud(random, 24, sdM));
    const found = twoByTwo('spread', [a ?? [], b ?? [], c ?? [], d ?? []], origin);
    if (found === null) throw new Error('nothing found');
    const said = twoByTwoSentences('spread', ['slow turns', 'the start jig'], found);
    expect(said).toHaveLength(4);
    expect(said[0]).toMatch(
      /^“Slow turns” is not shown to change the spread: from \d+ mm less to \d+ mm more/,
    );
    expect(said[1]).toMatch(
      /^“The start jig” helped: spread \d+ mm less \(\d+ mm to \d+ mm less\)\./,
    );
    expect(said[3]).toMatch(/^Keep the start jig: spread \d+ mm, with neither \d+ mm\.$/);
    expect(twoByTwo('spread', [a ?? [], b ?? [], c ?? [], []], origin)).toBeNull();
    const worked = (rate: number) => Array.from({ length: 10 }, (_, i) => ({ success: i < rate }));
    const success = twoByTwo('success', [worked(2), worked(3), worked(9), worked(9)], origin);
    expect(success?.keep).toBe(2);
  });
});
