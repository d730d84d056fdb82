import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { z } from 'zod';
import { pointsOf } from '../../src/core/forecast/points';
import { forecast } from '../../src/core/forecast/summary';
import type { SimulatedRun } from '../../src/core/forecast/simulatedRun';
import { simulateAll } from '../../src/core/forecast/simulateAll';
import { routeTargets } from '../../src/core/course/routeMissions';
import { drawnChangeOver } from '../../src/core/match/changeOver';
import { drivenLaunch } from '../../src/core/match/drivenLaunch';
import { MATCH_SHAPE, type Launch } from '../../src/core/match/match';
import { chanceOfAtLeast, matchForecast } from '../../src/core/match/matchForecast';
import { matchSentence, orderSentence, pointsLadder } from '../../src/core/match/sentence';
import { randomStream } from '../../src/core/stats/random';
import { missionSchema, type Mission } from '../../src/core/table/table';
import type { Load } from '../../src/core/table/moved';
import { targetsOf } from '../../src/core/table/targets';
import { bareTable, idealRobot, routeOf } from './support';

const RULES = z.object(MATCH_SHAPE).parse({ clockS: 100, fetchS: 10, fetchPoints: 5 });

const mission = (id: string, points: number, after: string[] = []): Mission =>
  missionSchema.parse({
    id,
    name: id,
    points,
    after,
    pose: { xM: 0, yM: 0, headingRad: 0 },
    window: { alongM: 0.01, acrossM: 0.01, headingRad: 0.1 },
  });

/** A run that works these missions at these seconds, or stops at its end. */
const run = (endS: number, marks: Record<string, number>, isFailed = false): SimulatedRun => ({
  end: {
    ...{ xM: 0, yM: 0, headingRad: 0, timeS: endS },
    ...{ failedStep: null, failedPath: null, failedNumber: null },
    failure: isFailed ? 'time' : null,
  },
  marks: Object.entries(marks).map(([missionId, timeS]) => ({
    ...{ missionId, part: null, timeS, xM: 0, yM: 0, headingRad: 0 },
  })),
  answers: [],
});

/** A launch all of whose runs are like these, in turn, with change-overs of just so many seconds. */
function launch(id: string, runs: SimulatedRun[], missions: Mission[], also: Partial<Launch> = {}) {
  const changeOversS = [6, 6, 6, 6];
  const of: Launch = { id, routeId: id, mounted: '', whenFailed: 'next', changeOversS, ...also };
  const many = Array.from({ length: 40 }, (_, i) => runs[i % runs.length]).flatMap(
    (one) => one ?? [],
  );
  return drivenLaunch(of, many, missions.flatMap(targetsOf));
}

const play = (
  launches: ReturnType<typeof launch>[],
  missions: Mission[],
  rules = RULES,
  loads: Load[] = [],
) =>
  matchForecast(launches, {
    match: { ...rules, launches: [] },
    targets: missions.flatMap(targetsOf),
    loads,
    runsEach: 4,
    seed: 1,
  });

describe('a match', () => {
  const [fork, gate] = [mission('fork', 30), mission('gate', 20)];
  const both = [fork, gate];

  test('launches follow one another, each after its change-over; what comes after the clock does not count', () => {
    const first = launch('a', [run(60, { fork: 20 })], both);
    // Ready at 60 + 6 s: the gate is reached at 96 s or at 106 s.
    const second = launch('b', [run(50, { gate: 30 }), run(50, { gate: 40 })], both);
    const found = play([first, second], both);
    expect(found.points).toEqual([
      { points: 30, share: 0.5 },
      { points: 50, share: 0.5 },
    ]);
    expect(found.expected).toBe(40);
    expect(found.medianEndS).toBeCloseTo(116, 9);
    expect(found.allFit?.rate).toBe(0);
    expect(found.launches.map(({ medianStartS }) => medianStartS)).toEqual([0, 66]);
    // Of three matches the best is below 50 only if all three are: 1/8.
    expect(found.best).toBeCloseTo(50 - 20 / 8, 9);
    expect(chanceOfAtLeast(found.points, 31)).toBe(0.5);
    expect(pointsLadder(found, RULES, 5)).toEqual([
      { points: 50, chance: 0.5, inOneOf: 0.875 },
      { points: 30, chance: 1, inOneOf: 1 },
    ]);
    const said = matchSentence(found, { ...RULES, launches: [] }, (id) => id);
    expect(said).toContain('in 0 of 100 matches. b is cut off by it in 100.');
  });

  test('a mission that needs another counts after the launch that works it, not before, and not without it', () => {
    const later = mission('later', 50, ['fork']);
    const all = [fork, later];
    const a = launch('a', [run(20, { fork: 5 })], all);
    const b = launch('b', [run(20, { later: 5 })], all);
    expect(play([a, b], all).expected).toBe(80);
    const turned = play([b, a], all);
    expect(turned.expected).toBe(30);
    expect(play([b], all).expected).toBe(0);
    expect(turned.betterOrder).toMatchObject({ order: ['a', 'b'], more: 50 });
    expect(orderSentence(turned, { ...RULES, launches: [] }, (id) => `“${id}”`)).toBe(
      'Another order would bring 50 points more on average, and 50 the best of 3: “a”, then “b”.',
    );
    expect(play([a, b], all).betterOrder).toBeNull();
  });

  test('a robot that stops is fetched for seconds and points, and tries again where time is left for it', () => {
    const stopping = [run(10, {}, true), run(20, { fork: 15 })];
    const [next, again] = (['next', 'again'] as const).map((whenFailed) =>
      launch('a', stopping, both, { whenFailed }),
    );
    const second = launch('b', [run(20, { gate: 10 })], both);
    if (next === undefined || again === undefined) throw new Error('expected two');
    const gone = play([next, second], both);
    expect(gone.points).toEqual([
      { points: 15, share: 0.5 },
      { points: 50, share: 0.5 },
    ]);
    // Again: 10 s, 10 s for fetching it, 6 s to have it ready, 20 s.
    const tried = play([again, second], both);
    expect(tried.points).toEqual([
      { points: 45, share: 0.5 },
      { points: 50, share: 0.5 },
    ]);
    expect(tried.launches[0]?.fails).toBe(0);
    // 30 s are left by then: not enough.
    const short = play([again], both, { ...RULES, clockS: 30 });
    expect(short.points.map(({ points }) => points)).toEqual([-5, 30]);
  });

  test('a match of one launch brings what the forecast of its route says', () => {
    const table = {
      ...bareTable,
      missions: [
        { ...fork, pose: { xM: 1.3, yM: 1, headingRad: 0 } },
        { ...gate, pose: { xM: 1.6, yM: 1, headingRad: 0 } },
      ],
    };
    const route = routeOf([
      { kind: 'straight', distanceM: 0.3 },
      { kind: 'mark', missionId: 'fork' },
      { kind: 'straight', distanceM: 0.3 },
      { kind: 'mark', missionId: 'gate' },
    ]);
    const placement = { alongSdM: 0.01, acrossSdM: 0.004, headingSdRad: 0.02 };
    const simulation = { robot: idealRobot, table, route: { ...route, placement }, seed: 3 };
    const all = simulateAll(simulation, 40);
    if ('sentence' in all) throw new Error(all.sentence);
    const targets = routeTargets(route, table);
    const alone = drivenLaunch(
      { id: 'a', routeId: 'a', mounted: '', whenFailed: 'next', changeOversS: [] },
      ...([all.runs, targets] as const),
    );
    const found = play([alone], table.missions);
    expect(found.points.length).toBeGreaterThan(1);
    expect(found.points).toEqual(forecast(simulation, all.runs).points);
    expect(found.expected).toBeCloseTo(
      all.runs.reduce((sum, one) => sum + pointsOf(one, targets), 0) / 40,
      9,
    );
  });

  test('without a clock and without conditions the order does not matter', () => {
    const seconds = fc.double({ min: 1, max: 40, noNaN: true });
    fc.assert(
      fc.property(fc.array(seconds, { minLength: 2, maxLength: 4 }), (ends) => {
        const missions = ends.map((_, i) => mission(`m${i}`, 10 + i));
        const launches = ends.map((endS, i) =>
          launch(`l${i}`, [run(endS, { [`m${i}`]: endS / 2 }), run(endS, {}, true)], missions),
        );
        const rules = { ...RULES, clockS: 3600 };
        const [straight, turned] = [launches, launches.toReversed()].map((of) =>
          play(of, missions, rules),
        );
        expect(turned?.points).toEqual(straight?.points);
        expect(straight?.betterOrder).toBeNull();
        expect(straight?.allFit?.rate).toBe(1);
      }),
      { numRuns: 30 },
    );
  });
});

test('nineteen of twenty next change-overs lie between the drawn ones’ 2.5 and 97.5 %, however few were measured', () => {
  const random = randomStream(7, 0, 'hands');
  const hand = () => 9 * Math.exp(0.3 * random.normal());
  for (const n of [4, 8, 20]) {
    let inside = 0;
    for (let k = 0; k < 400; k += 1) {
      const measured = Array.from({ length: n }, hand);
      const drawn = Array.from({ length: 400 }, (_, i) =>
        drawnChangeOver(measured, randomStream(k, i, 'drawn')),
      ).toSorted((a, b) => a - b);
      const next = hand();
      if (next >= (drawn[10] ?? 0) && next <= (drawn[389] ?? 0)) inside += 1;
    }
    expect(inside / 400).toBeGreaterThan(0.92);
    expect(inside / 400).toBeLessThan(0.98);
  }
});

test('what a robot carried is lost when it is fetched between, and no later launch brings it', () => {
  const missions = [mission('fetch', 10), mission('bring', 20, ['fetch'])];
  const loads = [{ takenBy: 'fetch', leftBy: 'bring' }];
  const stops = launch('one', [run(20, { fetch: 5 }, true)], missions);
  const goesOn = launch('two', [run(20, { bring: 5 })], missions);
  const comesHome = launch('one', [run(20, { fetch: 5 })], missions);
  const expected = (first: typeof stops, of = loads) =>
    play([first, goesOn], missions, RULES, of).expected;
  expect(expected(stops)).toBe(10 - RULES.fetchPoints);
  expect(expected(stops, [])).toBe(30 - RULES.fetchPoints);
  expect(expected(comesHome)).toBe(30);
});
