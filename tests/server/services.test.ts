import { ulid } from 'ulid';
import { describe, expect, it } from 'vitest';
import { checkBundle, openBundle } from '../../src/server/bundle';
import { demoRuns } from '../../src/server/demo/runs';
import { BY_HAND, IN_THE_JIG, ROUTE_VERSIONS, SERIES } from '../../src/server/demo/scenario';
import { runRecord, type RunRecord } from '../../src/formats/records';
import { seriesFindings } from '../../src/core/runs/findings';
import { toLoggedRun } from '../../src/formats/runs/loggedRun';
import { suggestions } from '../../src/server/services/today';
import { describeIssue } from '../../src/formats/issues';
import { TABLE_NAMES } from '../../src/server/models';

describe('what to do next', () => {
  const newest = (plannedRuns: number, used: number) => ({
    series: { id: ulid(), trying: 'a try', plannedRuns },
    used,
  });

  it('goes on with the newest series while runs are planned, counting only those that count', () => {
    expect(suggestions(newest(3, 1), []).map(({ text }) => text)).toEqual(['Log run 2 of 3']);
    expect(suggestions(newest(1, 1), [])).toEqual([]);
  });

  it('offers what was saved and never run', () => {
    const untried = [{ id: ulid(), number: 2, routeName: 'Round' }];
    expect(suggestions(null, untried)).toEqual([
      expect.objectContaining({
        text: 'Try Round, version 2',
        href: `/runs?version=${untried[0]?.id}`,
      }),
    ]);
  });
});

describe('the demo data', () => {
  const runs = SERIES.map((series, i) => {
    const version = ROUTE_VERSIONS[series.version - 1];
    if (version === undefined) throw new Error('no route');
    return demoRuns(series, version, i + 1);
  });
  const findings = (list: RunRecord[]) =>
    seriesFindings(
      Math.PI,
      list.map((run, i) => toLoggedRun({ ...run, number: i + 1 })),
      30,
    );

  it('are the same everywhere and fit the records', () => {
    expect(runs.map((list) => list.length)).toEqual([30, 30, 6]);
    for (const run of runs.flat()) expect(runRecord.parse(run)).toEqual(run);
    const [series] = SERIES;
    const version = ROUTE_VERSIONS[1];
    if (series && version) expect(demoRuns(series, version, 1)).toEqual(runs[0]);
  });

  it('hold what the findings have to find: a jig that narrows, a drift that turns', () => {
    const [byHand, jig, drift] = runs.map(findings);
    expect(IN_THE_JIG.alongSdM).toBeLessThan(BY_HAND.alongSdM);
    expect(jig?.end.r95AboutMeanM).toBeLessThan(0.75 * (byHand?.end.r95AboutMeanM ?? 0));
    expect(jig?.end.success?.rate).toBeGreaterThan(byHand?.end.success?.rate ?? 1);
    expect(jig?.setAside).toBe(1);
    expect(jig?.byBattery.map(({ name }) => name)).toEqual(['B1', 'B3']);
    expect(drift?.verdict.next).toMatch(/^First find why the heading is off/);
  });
});

describe('a backup', () => {
  const head = {
    format: 'corvat-backup',
    formatVersion: 2,
    data: 'team',
    madeAt: '2026-11-24T00:00:00.000Z',
  };
  const first = {
    ...head,
    formatVersion: 1,
    tables: Object.fromEntries(TABLE_NAMES.map((name) => [name, [] as object[]])),
  };
  async function* lines(...values: (object | string)[]) {
    for (const value of values) {
      yield await Promise.resolve(typeof value === 'string' ? value : JSON.stringify(value));
    }
  }
  const check = async (...values: (object | string)[]) =>
    checkBundle(await openBundle(lines(...values)));
  const team = { id: ulid(), version: 1, name: 'Quillon Yard' };
  const end = (rows: number) => ({ end: true, rows });

  it('has every table, those that are pointed to first', () => {
    const before = (a: string, b: string) =>
      expect(TABLE_NAMES.indexOf(a as 'run')).toBeLessThan(TABLE_NAMES.indexOf(b as 'run'));
    before('team', 'robot');
    before('course', 'mission');
    before('route', 'routeVersion');
    before('routeVersion', 'series');
    before('series', 'run');
  });

  it('is read in both formats, what was before number 3 brought forward', async () => {
    const tables = { ...first.tables, team: [team] };
    expect((await check({ ...first, tables })).counts.team).toBe(1);
    expect((await check(head, { table: 'team', row: team }, end(1))).counts.team).toBe(1);
    const still = {
      id: ulid(),
      version: 1,
      robotId: ulid(),
      logId: ulid(),
      takenAt: head.madeAt,
      powerUp: 'not known',
      sincePowerUpS: null,
      school: null,
      beforeId: null,
      runDurationS: 150,
      toleranceRad: 0.03,
      settings: null,
      result: { driftRadPerS: 0, low95: 0, high95: 0, cleanS: 30, verdict: 'steady' },
      setAsideReason: null,
    };
    const { rows } = await openBundle(lines(head, { table: 'stillCheck', row: still }, end(1)));
    for await (const { row } of rows) expect(row.settings).toMatchObject({ driftShare: 0.5 });
  });

  it.each<[string, (object | string)[], RegExp]>([
    ['nothing', [], /^This file is not a backup/],
    ['another file', ['{"runs":[]}'], /^This file is not a backup/],
    ['a later format', [{ ...head, formatVersion: 4 }, end(0)], /^This file is not a backup/],
    ['cut off', [head, { table: 'team', row: team }], /cut off/],
    ['not whole', [head, { table: 'team', row: team }, end(2)], /1 of 2 rows/],
    [
      'one with a robot that no page can read',
      [head, { table: 'robot', row: { ...team, teamId: team.id, robot: {} } }, end(1)],
      new RegExp(`table robot, id ${team.id}, robot.wheelDiameterM`),
    ],
  ])('is refused with a sentence when it is %s', async (_, values, sentence) => {
    await expect(check(...values)).rejects.toThrow(sentence);
  });
});

it('names a field as its reader would write it', () => {
  const bad = runRecord.safeParse({ id: 'x' });
  expect(bad.success ? '' : describeIssue(bad.error.issues[0] as never)).toMatch(
    /^id: expected an identifier/,
  );
});
