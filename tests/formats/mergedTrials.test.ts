import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { SquaringTrials } from '../../src/formats/benchRecords';
import { mergedTrials } from '../../src/formats/mergedTrials';

type Trial = SquaringTrials['trials'][number];
const trial = (id: string, part: Partial<Trial> = {}): Trial =>
  ({ id, headingRad: 0.01, setAsideReason: null, ...part }) as Trial;
const list = (trials: Trial[], surface = ''): SquaringTrials =>
  ({
    id: 'list',
    version: 1,
    robotId: 'wren',
    procedure: 'squaring',
    conditions: { surface, battery: '', who: '', readToM: null },
    trials,
    archivedAt: null,
  }) as SquaringTrials;

test('what either screen changed is in both, and nothing of it is asked about', () => {
  const base = list([trial('a'), trial('b'), trial('c')]);
  const mine = list([trial('a', { setAsideReason: 'touched' }), trial('b'), trial('d')], 'oak mat');
  const theirs = {
    ...list([trial('a'), trial('b', { setAsideReason: 'slipped' }), trial('c'), trial('e')]),
    version: 2,
    archivedAt: '2026-11-20T10:00:00.000Z',
  };
  const { record, clashes } = mergedTrials(base, mine, theirs);
  expect(clashes).toEqual([]);
  expect(record.trials).toEqual([
    trial('a', { setAsideReason: 'touched' }),
    trial('b', { setAsideReason: 'slipped' }),
    trial('e'),
    trial('d'),
  ]);
  expect(record.conditions.surface).toBe('oak mat');
  expect([record.version, record.archivedAt]).toEqual([2, theirs.archivedAt]);
});

test('what both changed stays as it is here, and is named with what stands there', () => {
  const base = list([trial('a')], 'mat');
  const mine = list([trial('a', { setAsideReason: 'touched' })], 'new mat');
  const theirs = list([trial('a', { setAsideReason: 'slipped' })], 'new mat');
  const { record, clashes } = mergedTrials(base, mine, theirs);
  expect(record.trials[0]?.setAsideReason).toBe('touched');
  expect(clashes).toEqual([
    { path: 'trials.0.setAsideReason', mine: 'touched', theirs: 'slipped' },
  ]);
});

test('whoever merges first, the same trials are there, and none that either has kept is gone', () => {
  const some = fc.uniqueArray(fc.constantFrom(...'abcdefgh'), { maxLength: 8 });
  fc.assert(
    fc.property(some, some, some, (base, mine, theirs) => {
      const of = (ids: string[]) => list(ids.map((id) => trial(id)));
      const ids = (...lists: [string[], string[], string[]]) => {
        const [b, m, t] = lists.map(of) as [SquaringTrials, SquaringTrials, SquaringTrials];
        return mergedTrials(b, m, t).record.trials.map(({ id }) => id);
      };
      const merged = ids(base, mine, theirs);
      expect(merged.toSorted()).toEqual(ids(base, theirs, mine).toSorted());
      for (const id of mine) if (!base.includes(id)) expect(merged).toContain(id);
      for (const id of theirs) if (mine.includes(id)) expect(merged).toContain(id);
    }),
  );
});
