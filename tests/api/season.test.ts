import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { ulid } from 'ulid';
import type { SavedRun, SavedSeries } from '../../src/formats/records';
import { openDatabase, type Database } from '../../src/server/database';
import { findingsAndEnds, withFindings } from '../../src/server/services/keptFindings';
import { seriesWithContext } from '../../src/server/services/seriesContext';
import { findSeries, seriesPage } from '../../src/server/stores/series';
import { privateUrl } from '../../scripts/lib/mariadb';
import { routeOf } from '../core/support';
import { ownStores, put, putTeam, runIn, runsOf, send, setUp } from './records';

let db: Database;
beforeAll(() => {
  db = openDatabase(privateUrl(inject('home'), 'team'));
});
afterAll(() => db.sequelize.close());

/** A team with a route that was saved, and series of it. */
async function newRoute() {
  const records = setUp();
  await putTeam(records);
  const version = { id: ulid(), routeId: records.route.id, note: '' };
  const steps = [{ kind: 'straight', distanceM: 0.5 }];
  await put('route-versions', { ...version, route: routeOf(steps) });
  const begin = async (trying: string) => {
    const id = ulid();
    const series = { id, version: 0, routeVersionId: version.id, trying, plannedRuns: 10 };
    await put('series', { ...series, battery: null, tableLabel: null, archivedAt: null });
    return id;
  };
  return { ...records, begin };
}

const ended = (seriesId: string, xM: number) => ({
  ...runIn(seriesId),
  endXM: xM,
  endYM: 0.001,
  endHeadingRad: 0,
});

async function saved(id: string): Promise<SavedSeries> {
  const series = await findSeries(ownStores(db), id);
  if (series === null) throw new Error('no series');
  return series;
}

async function findingsOf(id: string) {
  const [told] = await withFindings(ownStores(db), [await saved(id)]);
  if (told === undefined) throw new Error('no findings');
  return told.findings;
}

describe('a series', () => {
  it('keeps the table and the robot on which it was run, whatever becomes of them', async () => {
    const { course, robot, begin } = await newRoute();
    const id = await begin('before the walls came');
    const before = await seriesWithContext(ownStores(db), id);
    const table = { ...course.table, widthM: 3.3 };
    expect((await put('courses', { ...course, version: 1, table })).status).toBe(200);
    const wider = { ...robot.robot, trackM: 0.2 };
    expect((await put('robots', { ...robot, version: 1, robot: wider })).status).toBe(200);
    const after = await seriesWithContext(ownStores(db), id);
    expect(after.course.table).toEqual(before.course.table);
    expect(after.robot.robot).toEqual(before.robot.robot);
    expect(after.target).toEqual(before.target);
    // One that begins now is run on what stands there now.
    const next = await seriesWithContext(ownStores(db), await begin('with the walls'));
    expect(next.course.table.widthM).toBe(3.3);
    expect(next.robot.robot.trackM).toBe(0.2);
  });

  it('of an earlier Corvat, which kept nothing of it, keeps it from when it is first read', async () => {
    const { course, begin } = await newRoute();
    const id = await begin('long ago');
    await db.models.series.update({ frozen: null }, { where: { id } });
    const first = await seriesWithContext(ownStores(db), id);
    await put('courses', { ...course, version: 1, table: { ...course.table, widthM: 4 } });
    expect((await seriesWithContext(ownStores(db), id)).course.table).toEqual(first.course.table);
  });
});

describe('findings', () => {
  it('are kept, and made anew by a further run, a set-aside and its taking back', async () => {
    const { begin } = await newRoute();
    const id = await begin('kept');
    const runs = [0.01, 0.012, 0.02, 0.05].map((x) => ended(id, x));
    await send('POST', `/api/series/${id}/import`, { runs: runs.slice(0, 3) });
    const three = await findingsOf(id);
    expect(three.end.n).toBe(3);
    const row = await db.models.seriesFinding.findByPk(id);
    // What is kept is what is told: nothing is computed a second time.
    const marked = { ...three, verdict: { ...three.verdict, found: 'as it was kept' } };
    await row?.update({ findings: marked });
    expect((await findingsOf(id)).verdict.found).toBe('as it was kept');

    await put('runs', runs[3] ?? runIn(id));
    expect((await findingsOf(id)).end.n).toBe(4);
    const [, , , last] = await runsOf(id);
    const { number: _number, ...record } = last as SavedRun;
    await put('runs', { ...record, setAsideReason: 'bumped' });
    expect(await findingsOf(id)).toMatchObject({ end: { n: 3 }, setAside: 1 });
    expect((await findingsOf(id)).end.biasXM).toBeCloseTo(three.end.biasXM ?? 0, 12);
    await put('runs', { ...record, version: record.version + 1, setAsideReason: null });
    expect((await findingsOf(id)).end.n).toBe(4);
  });
});

describe('the ends of a series', () => {
  it('are kept as exactly as they were measured, and are those that count', async () => {
    const { begin } = await newRoute();
    const id = await begin('ends');
    const measured = [
      { endXM: 0.1 / 3, endYM: -0.2 / 7, worked: true },
      { endXM: 0.01, endYM: 0, worked: false },
      { endXM: -0.02, endYM: 0.003, worked: null },
      { endXM: 0.5, endYM: 0.5, setAsideReason: 'bumped' },
      { endXM: null, endYM: null },
    ];
    await send('POST', `/api/series/${id}/import`, {
      runs: measured.map((part) => runIn(id, { endHeadingRad: null, ...part })),
    });
    const series = await findSeries(ownStores(db), id);
    if (series === null) throw new Error('no series');
    const counted = measured
      .slice(0, 3)
      .map(({ endXM, endYM, worked }, i) => ({ number: i + 1, endXM, endYM, worked }));
    const fresh = await findingsAndEnds(ownStores(db), series);
    expect(fresh.ends).toEqual(counted);
    const kept = await findingsAndEnds(ownStores(db), series);
    expect(kept.ends).toEqual(counted);
    expect(kept.findings.end.nPose).toBe(3);
    // A further run, and the picture has it.
    await put('runs', runIn(id, { endXM: 0.04, endYM: 0.04 }));
    expect((await findingsAndEnds(ownStores(db), series)).ends).toHaveLength(4);
  });
});

describe('a season', () => {
  it('is read a page at a time, the newest first, and found by what was tried', async () => {
    const { route, begin } = await newRoute();
    const tried = ['one', 'two 50 %', 'three', 'two 50 per cent'];
    const ids: string[] = [];
    for (const trying of tried) ids.push(await begin(trying));
    const wish = { routeId: route.id, limit: 3 };
    const page = await seriesPage(ownStores(db), wish);
    expect(page.map(({ id }) => id)).toEqual([ids[3], ids[2], ids[1]]);
    const next = await seriesPage(ownStores(db), { ...wish, before: page.at(-1)?.entry });
    expect(next.map(({ id }) => id)).toEqual([ids[0]]);
    expect(page[0]).toMatchObject({ routeName: 'Round', robotName: 'Pipit', versionNumber: 1 });
    const found = async (search: string) =>
      (await seriesPage(ownStores(db), { ...wish, search })).map(({ trying }) => trying);
    expect(await found('TWO')).toEqual(['two 50 per cent', 'two 50 %']);
    // A sign of patterns is a letter like any other.
    expect(await found('50 %')).toEqual(['two 50 %']);
    expect(await found("'; DROP TABLE run")).toEqual([]);
  });

  it('takes an import of a thousand runs at once, numbered on, and the same one again as the same', async () => {
    const { begin } = await newRoute();
    const id = await begin('many');
    await put('runs', ended(id, 0.01));
    const runs = Array.from({ length: 1000 }, (_, i) => ended(id, i / 1e5));
    const once = await send<{ runs: SavedRun[] }>('POST', `/api/series/${id}/import`, { runs });
    expect(once.status).toBe(200);
    const again = await send<{ runs: SavedRun[] }>('POST', `/api/series/${id}/import`, { runs });
    expect(again.body).toEqual(once.body);
    const all = await runsOf(id);
    expect(all.map(({ number }) => number)).toEqual(Array.from({ length: 1001 }, (_, i) => i + 1));
    expect(all[1]?.id).toBe(runs[0]?.id);
  });
});
