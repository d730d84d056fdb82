import { ulid } from 'ulid';
import { describe, expect, inject, it } from 'vitest';
import type { RobotRecord, RunRecord, SavedRun } from '../../src/formats/records';
import { ask, newSeries, put, putTeam, runIn, runsOf, send, setUp } from './records';

describe('saving', () => {
  it('takes the same set-up and the same run twice as one', async () => {
    const records = setUp();
    await putTeam(records);
    const first = await putTeam(records);
    expect(first).toEqual({ ...records.team, version: 1 });

    const seriesId = await newSeries();
    const run = runIn(seriesId);
    const saved = await put<SavedRun>('runs', run);
    expect(saved.body).toEqual({ ...run, version: 1, number: 1 });
    expect(await put('runs', run)).toEqual(saved);
    expect(await runsOf(seriesId)).toHaveLength(1);
  });

  it('gives runs that come all at once each a number of its own', async () => {
    const seriesId = await newSeries();
    const runs = Array.from({ length: 20 }, () => runIn(seriesId));
    const answers = await Promise.all([...runs, ...runs].map((run) => put('runs', run)));
    expect(answers.map(({ status }) => status)).toEqual(Array(40).fill(200));
    const numbers = (await runsOf(seriesId)).map(({ number }) => number);
    expect(numbers).toEqual(Array.from({ length: 20 }, (_, i) => i + 1));
  });

  it('lets one of two changes win, and hands the other what stands there', async () => {
    const seriesId = await newSeries();
    const run = (await put<SavedRun>('runs', runIn(seriesId))).body;
    const changes = [1, 2, 3, 4].map((n) => ({ ...run, note: `note ${n}` }));
    const answers = await Promise.all(changes.map((change) => put<SavedRun>('runs', change)));
    const won = answers.filter(({ status }) => status === 200);
    const lost = answers.filter(({ status }) => status === 409);
    expect([won.length, lost.length]).toEqual([1, 3]);
    const [stored] = await runsOf(seriesId);
    expect(stored).toMatchObject({ version: 2, note: won[0]?.body.note });
    for (const { body } of lost) {
      expect(body.error?.code).toBe('changed-meanwhile');
      expect(body.error?.current).toMatchObject({ version: 2, note: stored?.note });
    }
  });

  it('never changes a saved route version', async () => {
    const records = setUp();
    await putTeam(records);
    const route = { start: { xM: 0.1, yM: 0.1, headingRad: 0 }, steps: [] };
    const version = { id: ulid(), routeId: records.route.id, note: 'first', route };
    expect((await put('route-versions', version)).body).toMatchObject({ number: 1 });
    expect((await put('route-versions', version)).body).toMatchObject({ number: 1 });
    expect((await put('route-versions', { ...version, note: 'other' })).status).toBe(409);
    const next = { ...version, id: ulid() };
    expect((await put('route-versions', next)).body).toMatchObject({ number: 2 });
  });

  it('keeps one match of a course, of its own team’s routes alone', async () => {
    const others = setUp();
    await putTeam(others);
    const records = setUp();
    await putTeam(records);
    const launch = (routeId: string) => ({ id: ulid(), routeId, changeOversS: [9.5] });
    const match = {
      id: records.course.id,
      version: 0,
      match: { clockS: 120, launches: [launch(records.route.id)] },
    };
    const first = await put('matches', match);
    expect(first.body).toMatchObject({ version: 1, match: { clockS: 120, bestOf: 3 } });
    expect(await put('matches', match)).toEqual(first);
    const other = { ...match, match: { ...match.match, clockS: 150 } };
    expect((await put('matches', other)).status).toBe(409);
    expect((await put('matches', { ...other, version: 1 })).body).toMatchObject({ version: 2 });
    const strange = { ...match.match, launches: [launch(others.route.id)] };
    expect((await put('matches', { ...match, version: 2, match: strange })).status).toBe(422);
    expect((await put('matches', { ...match, id: others.course.id })).status).toBe(422);
  });

  it('imports all runs or none', async () => {
    const seriesId = await newSeries();
    const taken = (await put<SavedRun>('runs', runIn(seriesId))).body;
    const runs = [
      runIn(seriesId),
      runIn(seriesId),
      { ...runIn(seriesId), id: taken.id, note: 'x' },
    ];
    const path = `/api/series/${seriesId}/import`;
    expect((await send('POST', path, { runs })).status).toBe(409);
    expect(await runsOf(seriesId)).toHaveLength(1);
    const good = { runs: runs.slice(0, 2) };
    expect((await send('POST', path, good)).status).toBe(200);
    expect((await send('POST', path, good)).status).toBe(200);
    expect(await runsOf(seriesId)).toHaveLength(3);
  });
});

describe('bad input', () => {
  it.each<[string, unknown, number, RegExp]>([
    ['nothing', '', 400, /JSON/],
    ['no JSON', '{"id":', 400, /JSON/],
    ['an array', [], 422, /expected object/],
    ['too much', `"${'x'.repeat(300_000)}"`, 413, /256 kB/],
  ])('%s is refused with a sentence', async (_, body, status, sentence) => {
    const answer = await send('PUT', `/api/runs/${ulid()}`, body);
    expect(answer.status).toBe(status);
    expect(answer.body.error?.message).toMatch(sentence);
  });

  it('binary is refused', async () => {
    const response = await ask(`/api/runs/${ulid()}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: new Uint8Array([0x7b, 0xff, 0xfe, 0x00]),
    });
    expect(response.status).toBe(400);
  });

  it.each<[string, Partial<RunRecord> | Record<string, unknown>, string]>([
    ['text for a number', { endXM: 'far' }, 'endXM'],
    ['an impossible offset', { endYM: 77 }, 'endYM'],
    ['half a place', { endYM: null }, 'endXM'],
    ['no date', { happenedAt: 'today' }, 'happenedAt'],
    ['an identifier that is none', { seriesId: "' OR 1=1 --" }, 'seriesId'],
    ['too long a name', { placedBy: 'x'.repeat(41) }, 'placedBy'],
    ['an empty reason', { setAsideReason: '  ' }, 'setAsideReason'],
  ])('%s is refused with its path, and nothing is written', async (_, part, path) => {
    const seriesId = await newSeries();
    const answer = await put('runs', { ...runIn(seriesId), ...part } as RunRecord);
    expect(answer.status).toBe(422);
    expect(answer.body.error?.path).toBe(path);
    expect(await runsOf(seriesId)).toEqual([]);
  });

  it('keeps hostile text as text', async () => {
    const seriesId = await newSeries();
    const note = `"><script>alert(1)</script>'; DROP TABLE run; -- 😀`;
    await put('runs', runIn(seriesId, { note }));
    expect((await runsOf(seriesId))[0]?.note).toBe(note);
    const page = await (await ask(`/runs/${seriesId}`)).text();
    expect(page).not.toContain('<script>alert(1)');
  });

  it('says when something points nowhere', async () => {
    const gone = ulid();
    expect((await put('runs', runIn(gone))).status).toBe(404);
    const robot: RobotRecord = { ...setUp().robot, teamId: gone };
    expect((await put('robots', robot)).body.error?.code).toBe('points-nowhere');
    expect((await ask(`/findings/${gone}`)).status).toBe(404);
  });
});

describe('who may ask', () => {
  it('refuses other hosts and other sites', async () => {
    const { request } = await import('node:http');
    const statusWith = (headers: Record<string, string>) =>
      new Promise<number | undefined>((answered) => {
        request(`${inject('url')}/api/teams`, { method: 'POST', headers }, (response) => {
          response.resume();
          answered(response.statusCode);
        }).end();
      });
    const own = new URL(inject('url')).host;
    expect(await statusWith({ host: 'elsewhere.example' })).toBe(403);
    expect(await statusWith({ host: own, origin: 'http://elsewhere.example' })).toBe(403);
    expect(await statusWith({ host: own, 'sec-fetch-site': 'cross-site' })).toBe(403);
    expect(await statusWith({ host: own, origin: `http://${own}` })).toBe(415);
  });

  it('sends pages with a strict content policy', async () => {
    const { headers } = await fetch(inject('url'));
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(/script-src[^;]*unsafe-inline/.test(policy)).toBe(false);
    expect(headers.get('x-content-type-options')).toBe('nosniff');
  });
});
