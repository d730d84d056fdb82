import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { ulid } from 'ulid';
import { planStartOf } from '../../src/formats/runs/planEntry';
import { runSearchFrom, type RunCursor } from '../../src/formats/runs/runSearch';
import { openDatabase, type Database } from '../../src/server/database';
import { planFindings, planSoFar } from '../../src/server/services/runPlan';
import { placeRuns, runsFound } from '../../src/server/stores/runsFound';
import { privateUrl } from '../../scripts/lib/mariadb';
import { newSeries, ownStores, put, runIn, send } from './records';

let db: Database;
beforeAll(() => {
  db = openDatabase(privateUrl(inject('home'), 'team'));
});
afterAll(() => db.sequelize.close());

const found = async (words: Record<string, string>, after: RunCursor | null = null, limit = 20) =>
  runsFound(ownStores(db), runSearchFrom(new URLSearchParams(words)), after, limit);

/** A series with runs of one person whom nobody else is, so that the other tests' runs are not among them. */
async function logged(parts: Parameters<typeof runIn>[1][]) {
  const seriesId = await newSeries();
  const person = `P${seriesId.slice(-6)}`;
  const runs = parts.map((part) => runIn(seriesId, { placedBy: person, ...part }));
  for (const run of runs) expect((await put('runs', run)).status).toBe(200);
  return { seriesId, person, runs };
}

const minute = (n: number) => `2026-11-24T09:${String(n).padStart(2, '0')}:00.000Z`;

describe('single runs', () => {
  it('are found by all that is said, the newest first', async () => {
    const { person, runs } = await logged([
      { happenedAt: minute(1), note: 'the left wheel squeaked', cause: 'wheel slipped' },
      { happenedAt: minute(3), note: 'Wheels wiped' },
      { happenedAt: minute(2), setAsideReason: 'bumped' },
    ]);
    const ids = async (words: Record<string, string>) =>
      (await found({ person, ...words })).map(({ id }) => runs.findIndex((run) => run.id === id));
    expect(await ids({})).toEqual([1, 2, 0]);
    expect(await ids({ q: 'wheel' })).toEqual([1, 0]);
    expect(await ids({ q: 'LEFT squeak' })).toEqual([0]);
    expect(await ids({ q: 'wheel +brakes -"*' })).toEqual([]);
    expect(await ids({ cause: 'wheel slipped' })).toEqual([0]);
    expect(await ids({ since: '2026-11-24', until: '2026-11-24' })).toHaveLength(3);
    expect(await ids({ until: '2026-11-23' })).toEqual([]);
    const [newest] = await found({ person });
    expect(newest).toMatchObject({ robotName: 'Pipit', routeName: 'Round', trying: 'a test' });
    // What cannot be read is taken as not said; what is no name of anything finds nothing.
    expect(await ids({ since: 'yesterday' })).toHaveLength(3);
    expect(await ids({ robot: ulid() })).toEqual([]);
  });

  it('come a page at a time, each once, those of one instant too', async () => {
    const parts = Array.from({ length: 7 }, (_, i) => ({ happenedAt: minute(i < 4 ? 5 : i) }));
    const { person } = await logged(parts);
    const seen: string[] = [];
    let after: RunCursor | null = null;
    for (;;) {
      const page: Awaited<ReturnType<typeof found>> = await found({ person }, after, 3);
      seen.push(...page.map(({ id }) => id));
      const last = page.at(-1);
      if (last === undefined) break;
      after = { happenedAt: last.happenedAt, id: last.id };
    }
    expect(seen).toHaveLength(7);
    expect(new Set(seen).size).toBe(7);
  });

  it('are the same whether the newest notes are read or the index of words is asked', async () => {
    const { person } = await logged(
      Array.from({ length: 12 }, (_, i) => ({
        happenedAt: minute(i),
        note: i % 3 === 0 ? 'nothing' : `${i % 2 === 0 ? 'It Zigzagged' : 'zigzag'}, then stood`,
      })),
    );
    const wanted = { person, q: 'zigzag stood' };
    const all = (await found(wanted, null, 100)).map(({ id }) => id);
    expect(all).toHaveLength(8);
    // A page that is full comes from the newest notes, one that is not from the index.
    for (const limit of [1, 3, 8, 9]) {
      expect((await found(wanted, null, limit)).map(({ id }) => id)).toEqual(all.slice(0, limit));
    }
  });

  it('of a backup that names no route get that of their series', async () => {
    const { person, seriesId } = await logged([{}]);
    await db.models.run.update({ routeId: null, robotId: null }, { where: { seriesId } });
    expect(await found({ person })).toEqual([]);
    await placeRuns(db);
    expect(await found({ person })).toHaveLength(1);
  });
});

describe('a plan of runs', () => {
  async function begun(changes: string[]) {
    const seriesId = await newSeries();
    const series = await db.models.series.findByPk(seriesId);
    const version = String(series?.get('routeVersionId'));
    const seriesIds = Array.from({ length: changes.length === 1 ? 2 : 4 }, () => ulid());
    const start = planStartOf(
      { changes, versionIds: seriesIds.map(() => version), battery: '', table: ' hall ' },
      {
        planId: ulid(),
        seriesIds,
        wish: { about: 'spread', lessM: 0.01 },
        perSeries: 3,
      },
    );
    return { start, seriesIds };
  }
  const post = (body: unknown) => send('POST', '/api/run-plans', body);

  it('begins all its series at once, is the same when sent again, and never changes', async () => {
    const { start, seriesIds } = await begun(['the stop']);
    expect((await post(start)).status).toBe(200);
    expect((await post(start)).status).toBe(200);
    const rows = await db.models.series.findAll({ where: { planId: start.plan.id } });
    expect(rows.map((row) => row.get('id')).toSorted()).toEqual(seriesIds.toSorted());
    expect(rows.every((row) => row.get('tableLabel') === 'hall')).toBe(true);
    const other = { ...start, plan: { ...start.plan, perSeries: 30 } };
    expect((await post(other)).status).toBe(409);
    const half = { ...start, plan: { ...start.plan, id: ulid() } };
    expect((await post(half)).body.error?.message).toContain('expected the series of the plan');
    // One of its series cannot be: none is begun.
    const { start: odd } = await begun(['the stop']);
    const nowhere = odd.series.map((one, i) =>
      i === 1 ? { ...one, routeVersionId: ulid() } : one,
    );
    expect((await post({ ...odd, series: nowhere })).status).toBeGreaterThanOrEqual(400);
    expect(await db.models.series.count({ where: { planId: odd.plan.id } })).toBe(0);
    expect(await db.models.runPlan.findByPk(odd.plan.id)).toBeNull();
  });

  it('of two changes says nothing before all runs are made, then its four answers', async () => {
    const { start, seriesIds } = await begun(['wiped wheels', 'the stop']);
    await post(start);
    const told = async () => {
      const found = await planSoFar(ownStores(db), start.plan.id);
      if (found === null) throw new Error('no plan');
      return { ...found, ...(await planFindings(ownStores(db), found)) };
    };
    for (const [i, seriesId] of seriesIds.entries()) {
      const scale = i < 2 ? 0.03 : 0.002;
      const ends = [1, -1, i < 3 ? 0.4 : null].map((x) =>
        runIn(seriesId, { endXM: x === null ? null : x * scale, endYM: x === null ? null : 0 }),
      );
      if (i === 3) {
        const before = await told();
        expect(before.figures).toBeNull();
        expect(before.sentences).toHaveLength(1);
      }
      await send('POST', `/api/series/${seriesId}/import`, { runs: ends });
    }
    // One of its runs has no measured end: with two of a way nothing can be said.
    expect((await told()).sentences[0]).toContain('Three measured ends');
    await put('runs', runIn(seriesIds[3] ?? '', { endXM: 0.001, endYM: 0 }));
    const after = await told();
    expect(after.soFar.ways.map(({ runs }) => runs)).toEqual([3, 3, 3, 4]);
    expect(after.isOver).toBe(true);
  });
});
