import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Route } from '../../src/core/course/route';
import { branchesOf, isOwner, type Step } from '../../src/core/steps/descriptions';
import { motionSchema } from '../../src/core/steps/step';
import {
  duplicateStep,
  insertStep,
  listOf,
  moveStep,
  nextPlace,
  removeStep,
  replaceStep,
} from '../../src/stations/course/steps/editRoute';
import { historyReducer, openHistory, type History } from '../../src/stations/course/history';
import {
  entryOf,
  allWorked,
  newEntry,
  nextName,
  toggleMission,
  toRun,
  workedAsAWhole,
} from '../../src/stations/runs/log/entry';
import { runRecord } from '../../src/formats/records';
import { routeOf } from '../core/support';

const steps = (...ids: string[]) =>
  routeOf(ids.map((id) => ({ id, kind: 'straight', distanceM: 0.1 })));
const drive = motionSchema.parse({ id: 'new', kind: 'straight', distanceM: 0.7 });
const idsOf = (route: Route) => route.steps.map(({ id }) => id).join('');

const RING = routeOf([
  { id: 'a', kind: 'straight', distanceM: 0.1 },
  {
    id: 'r',
    kind: 'part',
    name: 'ring',
    steps: [
      { id: 'b', kind: 'straight', distanceM: 0.1 },
      { id: 'c', kind: 'straight', distanceM: 0.1 },
    ],
  },
  { id: 'd', kind: 'straight', distanceM: 0.1 },
]);
/** The route as letters, what a step owns in brackets. */
const shape = (list: readonly Step[]): string =>
  list
    .map(
      (step) =>
        step.id +
        (isOwner(step)
          ? branchesOf(step)
              .map((one) => `(${shape(one.steps)})`)
              .join('')
          : ''),
    )
    .join('');
const moved = (id: string, by: -1 | 1, route = RING) => {
  const place = nextPlace(route.steps, id, by);
  return place === null ? null : shape(moveStep(route, id, place).steps);
};

describe('editing the steps of a route', () => {
  const own = (index: number) => ({ owner: null, list: '', index });

  it('moves, doubles and removes exactly one', () => {
    expect(idsOf(moveStep(steps('a', 'b', 'c'), 'a', own(2)))).toBe('bca');
    expect(idsOf(moveStep(steps('a', 'b', 'c'), 'c', own(0)))).toBe('cab');
    expect(idsOf(duplicateStep(steps('a', 'b'), 'a', () => 'n'))).toBe('anb');
    expect(idsOf(removeStep(steps('a', 'b'), 'b'))).toBe('a');
    expect(moveStep(steps('a'), 'x', own(0))).toEqual(steps('a'));
    const changed = replaceStep(RING, { ...drive, id: 'c' });
    expect(shape(changed.steps)).toBe('ar(bc)d');
    expect(listOf(changed.steps, { owner: 'r', list: 'steps' })[1]).toEqual({ ...drive, id: 'c' });
  });

  it('loses no step by moving, and a move back undoes it', () => {
    const route = steps(...'abcdef');
    const index = fc.integer({ min: 0, max: 5 });
    fc.assert(
      fc.property(index, index, (from, to) => {
        const id = 'abcdef'.charAt(from);
        const there = moveStep(route, id, own(to));
        expect([...idsOf(there)].sort().join('')).toBe('abcdef');
        expect(moveStep(there, id, own(from))).toEqual(route);
      }),
    );
  });

  it('goes up and down past its neighbour, into a step that owns others, and out of it', () => {
    expect(moved('a', 1)).toBe('r(abc)d');
    expect(moved('d', -1)).toBe('ar(bcd)');
    expect(moved('b', -1)).toBe('abr(c)d');
    expect(moved('c', 1)).toBe('ar(b)cd');
    expect(moved('b', 1)).toBe('ar(cb)d');
    expect(moved('r', 1)).toBe('adr(bc)');
    expect(moved('a', -1)).toBeNull();
    expect(moved('d', 1)).toBeNull();
  });

  it('never moves a step into itself, and doubles all that is within it under other ids', () => {
    expect(moveStep(RING, 'r', { owner: 'r', list: 'steps', index: 0 })).toBe(RING);
    let n = 0;
    const doubled = duplicateStep(RING, 'r', () => `n${(n += 1)}`);
    expect(shape(doubled.steps)).toBe('ar(bc)n1(n2n3)d');
  });

  it('leaves the route that it came from as it was', () => {
    const route = steps('a', 'b');
    const [extra] = steps('x').steps;
    if (extra) insertStep(route, own(1), extra);
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
