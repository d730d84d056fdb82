import { calibrationValueSchema } from '../../src/core/calibration/calibration';
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { hangsOn } from '../../src/core/forecast/sentence';
import type { Forecast } from '../../src/core/forecast/summary';
import { SOURCES } from '../../src/core/sources/sources';
import type { OverviewLine } from '../../src/stations/bench/overview/line';
import { isApplied, waitingNow, type Found } from '../../src/stations/bench/waiting';
import { worthNext } from '../../src/stations/bench/overview/worthNext';
import { GROUPS } from '../../src/stations/bench/procedure';
import { BENCH_PAGES, PROCEDURES } from '../../src/stations/bench/procedures';

const root = join(import.meta.dirname, '../../src/stations/bench');

describe('the procedures of the Bench', () => {
  it('each stand in a folder of their own, with an island, under one name', () => {
    const ids = BENCH_PAGES.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const id of ids) expect(existsSync(join(root, id, 'Station.tsx')), id).toBe(true);
    // And no page is forgotten in the registry.
    const folders = readdirSync(root, { withFileTypes: true })
      .filter((entry) => entry.isDirectory() && existsSync(join(root, entry.name, 'Station.tsx')))
      .map(({ name }) => name);
    expect(folders.toSorted()).toEqual(ids.toSorted());
  });

  it('come in working order of their groups', () => {
    const places = PROCEDURES.map(({ group }) => GROUPS.indexOf(group));
    expect(places.every((place) => place >= 0)).toBe(true);
  });

  it('give what the sources of error say is measured by them', () => {
    for (const { name, measuredBy } of SOURCES) {
      if (measuredBy === null) continue;
      const procedure = PROCEDURES.find(({ id }) => id === measuredBy);
      expect(procedure?.gives, name).not.toBeNull();
      expect(procedure, name).toBeDefined();
    }
  });
});

describe('what is worth doing next', () => {
  const line = (id: string, over: Partial<OverviewLine> = {}): OverviewLine => ({
    id,
    title: id,
    group: 'heading',
    goodFor: '',
    minutes: 5,
    gives: true,
    sentence: 'known',
    freshness: { text: 'today', state: 'fresh' },
    ...over,
  });
  const never = { sentence: null, freshness: null };
  const old = { freshness: { text: '13 days old', state: 'ageing' as const } };
  const stale = {
    freshness: { text: 'measure again: wheels changed since', state: 'missing' as const },
  };

  it('is first what a change of the robot has made wrong, then what is missing, then what is old', () => {
    const lines = [line('fresh'), line('old', old), line('never', never), line('stale', stale)];
    expect(worthNext(lines)).toEqual({
      id: 'stale',
      why: 'measure again: wheels changed since',
    });
    expect(worthNext(lines.slice(0, 3))).toEqual({ id: 'never', why: 'never measured' });
    expect(worthNext(lines.slice(0, 2))).toEqual({ id: 'old', why: '13 days old' });
    expect(worthNext(lines.slice(0, 1))).toBeNull();
  });

  it('prefers what gives a calibration to what merely was never done', () => {
    const lines = [line('log', { ...never, gives: false }), line('turns', never)];
    expect(worthNext(lines)?.id).toBe('turns');
    expect(worthNext(lines.slice(0, 1))).toEqual({ id: 'log', why: 'never done' });
  });

  it('is nothing that takes no time at the table', () => {
    expect(worthNext([line('simulated', { ...never, minutes: null })])).toBeNull();
  });
});

describe('what a forecast hangs on', () => {
  const of = (all: Forecast['all'], measureFirst: string | null) =>
    hangsOn({ all, measureFirst } as Forecast, 'Round');

  it('is said with the range that measuring would narrow', () => {
    expect(of({ rate: 0.7, low: 0.41, high: 0.95 }, 'turns')).toBe(
      'The forecast of “Round” hangs on it: 41 to 95 of 100 runs, until the turns have been measured.',
    );
  });

  it('is nothing where all is measured, or the range is narrow already', () => {
    expect(of({ rate: 0.7, low: 0.41, high: 0.95 }, null)).toBeNull();
    expect(of({ rate: 0.9, low: 0.86, high: 0.93 }, 'turns')).toBeNull();
    expect(of(null, 'turns')).toBeNull();
  });
});

describe('what was measured waits to be applied', () => {
  const found = (trials: string[], measuredAt = '2026-11-20T10:00:00.000Z'): Found => ({
    value: calibrationValueSchema.parse({ kind: 'heading-hold', gainMPerSPerRad: 1, looks: 3 }),
    evidence: { trialsId: 'list', stillCheckId: null, raw: trials.map((id) => ({ id })) },
    surface: null,
    battery: null,
    measuredAt,
  });
  const held = (trialsId: string, trials: string[], madeAt: string) => ({
    evidence: { trialsId, stillCheckId: null, raw: trials.map((id) => ({ id })) },
    madeAt,
  });
  const [before, after] = ['2026-11-19T10:00:00.000Z', '2026-11-21T10:00:00.000Z'];

  it('until the same trials hold, in whatever order they were kept', () => {
    expect(isApplied(found(['a', 'b']), undefined)).toBe(false);
    expect(isApplied(found(['a', 'b']), held('list', ['b', 'a'], after))).toBe(true);
    expect(isApplied(found(['a', 'b', 'c']), held('list', ['a', 'b'], after)), 'one more').toBe(
      false,
    );
    expect(isApplied(found(['a']), held('list', ['a', 'b'], after)), 'one set aside').toBe(false);
  });

  it('and not where something newer holds', () => {
    expect(isApplied(found(['a']), held('another', ['x'], after))).toBe(true);
    expect(isApplied(found(['a']), held('another', ['x'], before))).toBe(false);
  });

  it('but a drift of another day is pointed at by nobody', () => {
    const waits = (procedure: string, isOfAnotherDay: boolean) => ({
      ...found(['a']),
      procedure,
      title: procedure,
      isOfAnotherDay,
    });
    expect(waitingNow([waits('still', true), waits('square', false)])).toEqual([
      { procedure: 'square', title: 'square' },
    ]);
  });
});
