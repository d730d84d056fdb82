import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Route } from '../../src/core/course/route';
import {
  duplicateStep,
  insertStep,
  moveStep,
  removeStep,
} from '../../src/stations/course/editRoute';
import { historyReducer, openHistory, type History } from '../../src/stations/course/history';
import {
  entryOf,
  allWorked,
  newEntry,
  nextName,
  toggleMission,
  toRun,
  workedAsAWhole,
} from '../../src/stations/runs/entry';
import { runRecord } from '../../src/formats/records';
import { routeOf } from '../core/support';

const steps = (...ids: string[]) =>
  routeOf(ids.map((id) => ({ id, kind: 'straight', distanceM: 0.1 })));
const idsOf = (route: Route) => route.steps.map(({ id }) => id).join('');

describe('editing the steps of a route', () => {
  it('moves, doubles and removes exactly one', () => {
    expect(idsOf(moveStep(steps('a', 'b', 'c'), 0, 2))).toBe('bca');
    expect(idsOf(moveStep(steps('a', 'b', 'c'), 2, 0))).toBe('cab');
    expect(idsOf(duplicateStep(steps('a', 'b'), 0, 'n'))).toBe('anb');
    expect(idsOf(removeStep(steps('a', 'b'), 1))).toBe('a');
    expect(moveStep(steps('a'), 5, 0)).toEqual(steps('a'));
  });

  it('loses no step by moving, and a move back undoes it', () => {
    const route = steps(...'abcdef');
    const index = fc.integer({ min: 0, max: 5 });
    fc.assert(
      fc.property(index, index, (from, to) => {
        const moved = moveStep(route, from, to);
        expect([...idsOf(moved)].sort().join('')).toBe('abcdef');
        expect(moveStep(moved, to, from)).toEqual(route);
      }),
    );
  });

  it('leaves the route that it came from as it was', () => {
    const route = steps('a', 'b');
    const [extra] = steps('x').steps;
    if (extra) insertStep(route, 1, extra);
    expect(idsOf(route)).toBe('ab');
  });
});

describe('undo and redo', () => {
  const edit = (state: History, route: Route, about: string, at: number) =>
    historyReducer(state, { type: 'edit', route, about, at });

  it('undo everything, step by step, and redo it', () => {
    const routes = ['a', 'ab', 'abc', 'abcd'].map((ids) => steps(...ids));
    const [first, ...rest] = routes;
    if (first === undefined) throw new Error('no route');
    let state = rest.reduce((s, route, i) => edit(s, route, `edit ${i}`, i), openHistory(first));
    for (const expected of routes.toReversed().slice(1)) {
      state = historyReducer(state, { type: 'undo' });
      expect(state.present).toBe(expected);
    }
    expect(historyReducer(state, { type: 'undo' })).toBe(state);
    for (const expected of rest) {
      state = historyReducer(state, { type: 'redo' });
      expect(state.present).toBe(expected);
    }
    expect(historyReducer(state, { type: 'redo' })).toBe(state);
  });

  it('takes the typing of one value as one step, and a pause as the next', () => {
    let state = openHistory(steps('a'));
    state = edit(state, steps('b'), 'step 1', 1000);
    state = edit(state, steps('c'), 'step 1', 1500);
    expect(state.past).toHaveLength(1);
    state = edit(state, steps('d'), 'step 1', 9000);
    expect(state.past).toHaveLength(2);
    state = edit(state, steps('e'), 'step 2', 9001);
    expect(state.past).toHaveLength(3);
  });
});

describe('entering a run', () => {
  const seriesId = '01DEMS00000000000000000001';
  const id = '01DEMR10000000000000000001';
  const entry = allWorked(newEntry(id, { placedBy: 'Moss', battery: 'B1' }), ['m1', 'm2']);

  it('begins with everything worked, and placer and battery as before', () => {
    const run = toRun(entry, seriesId);
    expect(run).toMatchObject({
      worked: true,
      placedBy: 'Moss',
      battery: 'B1',
      endXM: null,
      endYM: null,
      cause: null,
    });
    expect(runRecord.safeParse(run).success).toBe(true);
  });

  it('goes round: worked, failed, not tried; one failure fails the run', () => {
    const failed = toggleMission(entry, 'm1');
    expect(workedAsAWhole(failed)).toBe(false);
    const untried = toggleMission(failed, 'm1');
    expect(untried.missions).toEqual({ m2: true });
    expect(workedAsAWhole(untried)).toBe(true);
    expect(toggleMission(untried, 'm1').missions).toEqual({ m1: true, m2: true });
  });

  it('keeps a cause only with a failure, and an axis left empty is 0', () => {
    const caused = { ...entry, cause: 'turned wrong', endXM: 0.012 };
    expect(toRun(caused, seriesId)).toMatchObject({ cause: null, endXM: 0.012, endYM: 0 });
    expect(toRun(toggleMission(caused, 'm2'), seriesId).cause).toBe('turned wrong');
  });

  it('comes back into the form as it was logged', () => {
    const run = toRun({ ...entry, endXM: 0.01, endYM: -0.02, note: ' bumped ' }, seriesId);
    const again = toRun(entryOf(run, run.id, 3), seriesId);
    expect(again).toEqual({ ...run, version: 3 });
    expect(run.note).toBe('bumped');
  });

  it('goes through the names in a circle', () => {
    expect(nextName(['Moss', 'Tam'], 'Moss')).toBe('Tam');
    expect(nextName(['Moss', 'Tam'], 'Tam')).toBe('Moss');
    expect(nextName(['Moss', 'Tam'], 'somebody')).toBe('Moss');
    expect(nextName([], 'somebody')).toBe('somebody');
  });
});
