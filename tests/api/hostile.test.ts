import { ulid } from 'ulid';
import { describe, expect, inject, it } from 'vitest';
import type { SavedRun, SeriesRecord } from '../../src/formats/records';
import { openDatabase } from '../../src/server/database';
import type { StandIn } from '../../src/core/standIn/state';
import { privateUrl } from '../../scripts/lib/mariadb';
import { databasePid } from '../support/corvat';
import { routeOf } from '../core/support';
import { newSeries, put, putTeam, runIn, runsOf, send, setUp } from './records';

describe('a body that nobody means well with', () => {
  it('nested nine thousand deep is told so', async () => {
    const deep = `${'['.repeat(9000)}${']'.repeat(9000)}`;
    const answer = await send('PUT', `/api/runs/${ulid()}`, deep);
    expect(answer.status).toBe(400);
    expect(answer.body.error?.message).toMatch(/nested more than 100 deep/);
  });

  it('leaves nothing in a note that is not seen and turns the words beside it round', async () => {
    const seriesId = await newSeries();
    const note = 'left \u202Eelbon\u202C wall\u0007\tand on\u0000';
    const saved = await put<SavedRun>('runs', runIn(seriesId, { note }));
    expect(saved.body.note).toBe('left elbon wall\tand on');
  });

  it('has no figures of which a page could make nothing', async () => {
    const records = setUp();
    await putTeam(records);
    const id = ulid();
    const value = { kind: 'gyro-drift', driftRadPerS: 0.01, low95: -1e308, high95: 0.1 };
    const evidence = { trialsId: null, stillCheckId: null, raw: [] };
    const of = { robotId: records.robot.id, kind: 'gyro-drift', reason: 'measured', who: null };
    const answer = await send('POST', '/api/calibrations', {
      calibration: { id, robotId: of.robotId, value, evidence, surface: null, battery: null },
      change: { ...of, id: ulid(), calibrationId: id },
    });
    expect(answer.status).toBe(422);
    expect(answer.body.error?.message).toMatch(/value\.low95: expected a number within/);
  });

  it('is answered with 405 where its method is not done, and 404 where nothing is', async () => {
    for (const [method, path, status] of [
      ['POST', `/api/runs/${ulid()}`, 405],
      ['PUT', '/api/health', 405],
      ['GET', '/api/teams', 405],
      ['GET', '/api/nothing', 404],
    ] as const) {
      const response = await fetch(`${inject('url')}${path}`, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(method !== 'GET' && { body: '{}' }),
      });
      expect([path, response.status]).toEqual([path, status]);
    }
  });
});

describe('what belongs together stays together', () => {
  it('brings no second team, by either door', async () => {
    const first = setUp();
    await putTeam(first);
    const second = setUp();
    const refused = await send('POST', '/api/teams', second);
    expect(refused.status).toBe(409);
    expect(refused.body.error?.message).toMatch(/belongs to a team already: \w/);
    expect((await put('teams', second.team)).status).toBe(404);
    const renamed = await put('teams', { ...first.team, version: 1, name: 'Quillon Green' });
    expect(renamed.status).toBe(200);
  });

  it('keeps a series with its route once it has runs, and a run with the route it was made with', async () => {
    const records = setUp();
    await putTeam(records);
    const version = (note: string) => ({
      id: ulid(),
      routeId: records.route.id,
      note,
      route: routeOf([]),
    });
    const [one, two] = [version('one'), version('two')];
    for (const each of [one, two]) await put('route-versions', each);
    const series = { id: ulid(), version: 0, routeVersionId: one.id, trying: 'a', plannedRuns: 5 };
    const begun = await put<SeriesRecord>('series', { ...series, battery: null, tableLabel: null });
    const moved = await put<SeriesRecord>('series', { ...begun.body, routeVersionId: two.id });
    expect(moved.status).toBe(200);
    const run = await put<SavedRun>('runs', runIn(series.id));
    const back = await put('series', { ...moved.body, routeVersionId: one.id });
    expect(back.status).toBe(422);
    expect(back.body.error).toMatchObject({ code: 'has-runs', path: 'routeVersionId' });
    const elsewhere = await newSeries(records);
    const gone = await put('runs', { ...run.body, seriesId: elsewhere });
    expect(gone.status).toBe(422);
    expect(gone.body.error).toMatchObject({ code: 'other-route', path: 'seriesId' });
    expect((await runsOf(series.id)).map(({ id }) => id)).toEqual([run.body.id]);
  });
});

describe('what stands still', () => {
  it('a halted database is told within ten seconds, on pages and to programs', async () => {
    const pid = databasePid({ home: inject('home') });
    process.kill(pid, 'SIGSTOP');
    const began = Date.now();
    try {
      const [page, api] = await Promise.all(
        ['/runs', '/api/health'].map((path) => fetch(`${inject('url')}${path}`)),
      );
      expect([page?.status, api?.status]).toEqual([503, 503]);
      expect(Date.now() - began).toBeLessThan(10_000);
      expect(await page?.text()).toContain('Nothing is lost');
      expect(await api?.json()).toMatchObject({ error: { code: 'database-away' } });
    } finally {
      process.kill(pid, 'SIGCONT');
    }
    expect((await fetch(`${inject('url')}/runs`)).status).toBe(200);
  });

  it('a stand-in goes on where the clock was set back an hour', async () => {
    const records = setUp();
    await putTeam(records);
    const path = `/api/stand-in?robot=${records.robot.id}`;
    const nowS = async () => (await send<{ view: { nowS: number } }>('GET', path)).body.view.nowS;
    await nowS();
    const db = openDatabase(privateUrl(inject('home'), 'team'));
    try {
      const row = await db.models.standIn.findByPk(records.robot.id);
      const state = row?.get('state') as StandIn;
      const anchorMs = Date.now() + 3_600_000;
      await row?.update({ state: { ...state, clock: { rate: 1, anchorS: 100, anchorMs } } });
    } finally {
      await db.sequelize.close();
    }
    const before = await nowS();
    expect(before).toBeGreaterThanOrEqual(100);
    await expect.poll(nowS).toBeGreaterThan(before + 0.2);
  });
});
