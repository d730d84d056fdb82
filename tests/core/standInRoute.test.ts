import { describe, expect, it } from 'vitest';
import { planRoute } from '../../src/core/course/plan';
import { act, type StandInAction } from '../../src/core/standIn/act';
import { readingsBetween } from '../../src/core/standIn/readings';
import { routeSentence } from '../../src/core/standIn/routeSentence';
import { routeView } from '../../src/core/standIn/routeView';
import { newStandIn, standInSchema, standInTime, type StandIn } from '../../src/core/standIn/state';
import { standInTruth } from '../../src/core/standIn/truth';
import { LINE_VERSION } from '../../src/server/demo/lineRoute';
import { winterGarden } from '../../src/server/demo/scenario';

const { robot, route } = LINE_VERSION;
const truth = standInTruth(robot, 11);
const wait = (durationS: number): StandInAction => ({ do: 'advance', durationS });
const go = (of: typeof route): StandInAction => ({
  do: 'drive-route',
  robot,
  table: winterGarden,
  route: of,
});
const after = (...actions: StandInAction[]): StandIn =>
  actions.reduce(
    (state, action) => act(state, truth, action, 0),
    [
      { do: 'set-clock' as const, rate: 0 as const },
      { do: 'power-on' as const, inHand: false },
      wait(2),
    ].reduce((state, action) => act(state, truth, action, 0), newStandIn('W', robot, 11, 0)),
  );
const nowS = (state: StandIn) => standInTime(state, 0);
const seen = (state: StandIn) => routeView(truth, state, nowS(state));

describe('a route that the stand-in drives', () => {
  const begun = after(go(route));
  const over = act(begun, truth, wait(200), 0);

  it('ends near the plan, off it by its own errors, and is told as people at the table note it', () => {
    const planned = planRoute(route, robot, winterGarden).at(-1)?.to ?? route.start;
    const driven = seen(over)?.driven;
    if (driven == null) throw new Error('it has not ended');
    const offM = Math.hypot(driven.end.xM - planned.xM, driven.end.yM - planned.yM);
    expect(offM).toBeGreaterThan(0.001);
    expect(offM).toBeLessThan(0.08);
    expect(driven.failed).toBeNull();
    expect(driven.durationS).toBeGreaterThan(30);
    expect(driven.trail[0]?.xM).toBeCloseTo(route.start.xM, 1);
    const sentence = routeSentence(driven, planned);
    expect(sentence).toMatch(
      /^It ended \d+ mm from the plan, .*, after \d+.*\. (Worked|Not worked): /,
    );
    for (const name of [...driven.worked, ...driven.missed]) expect(sentence).toContain(name);
    expect(driven.missed.length > 0 || driven.points > 0).toBe(true);
  });

  it('is read on its table: the lines under its light sensor, its arm as the steps move it', () => {
    const fromS = nowS(begun);
    const readings = readingsBetween(truth, over, fromS, fromS + (seen(begun)?.durationS ?? 0));
    const of = (title: string) => readings.map(({ units }) => units[title] ?? NaN);
    const titles = Object.keys(readings[0]?.units ?? {});
    const light = of(titles.find((title) => title.includes('L2')) ?? '');
    // The floor is far lighter than the line that it follows for eighty centimetres.
    expect(Math.max(...light)).toBeGreaterThan(1.5 * Math.min(...light));
    const arm = of(titles.find((title) => title.includes('attachment')) ?? '');
    expect(Math.max(...arm) - Math.min(...arm)).toBeGreaterThan(40);
    // Its program zeroes the heading where it begins.
    expect(Math.abs(readings[0]?.headingRad ?? 9)).toBeLessThan(0.01);
  });

  it('is the same for whoever asks, and in its kept form; lifted off the table nothing of it is told', () => {
    const kept = standInSchema.parse(JSON.parse(JSON.stringify(over)));
    expect(seen(kept)).toEqual(seen(over));
    const lifted = act(over, truth, { do: 'put-back' }, 0);
    expect(seen(act(lifted, truth, wait(5), 0))).toBeNull();
    const stopped = act(act(begun, truth, wait(6), 0), truth, { do: 'stop' }, 0);
    expect(seen(stopped)).toBeNull();
    expect(() => act(act(begun, truth, wait(6), 0), truth, go(route), 0)).toThrow(/still moving/);
    expect(nowS(act(stopped, truth, go(route), 0))).toBe(nowS(stopped));
  });

  it('says at which step it stopped, and keeps no more of the past than three tables', () => {
    const blocked = { ...route, steps: route.steps.slice(0, 2) };
    const [, first] = blocked.steps;
    if (first?.kind !== 'straight') throw new Error('a drive comes second');
    const tooFar = { ...blocked, steps: [{ ...first, distanceM: 2.6, timeoutS: 4 }] };
    const times = Array.from({ length: 5 }, () => [go(tooFar), wait(60)]).flat();
    const state = after(...times);
    const driven = seen(state)?.driven;
    expect(driven?.failed?.number).toBe('1');
    expect(driven && routeSentence(driven, route.start)).toMatch(/^It stopped at step 1 after /);
    expect(state.motions).toHaveLength(3);
  });
});
