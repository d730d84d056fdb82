import { spawn, type ChildProcess } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { ulid } from 'ulid';
import type { TeamSetUp } from '../../src/formats/records';
import { teamSettings } from '../../src/formats/teamSettings';
import { TEAM_COOKIE } from '../../src/server/teamCookie';
import { privateUrl } from '../../scripts/lib/mariadb';
import { routeOf } from '../core/support';
import { portOfOwn, root, untilAnswers } from '../support/corvat';
import { put, putTeam, runIn, setUp } from './records';

interface Own {
  records: TeamSetUp;
  seriesId: string;
  runId: string;
  /** Of which its pages are to say that they say it so. */
  robot: string;
  endsIn: RegExp;
}

/** A team that says things in its own way, with a run of a robot that has its own name. */
async function newTeam(robot: string, said: object, endsIn: RegExp): Promise<Own> {
  const plain = setUp();
  const records = {
    ...plain,
    team: { ...plain.team, name: `team of ${robot}`, settings: teamSettings.parse(said) },
    robot: { ...plain.robot, name: robot },
  };
  await putTeam(records);
  const version = { id: ulid(), routeId: records.route.id, note: '' };
  const steps = [{ kind: 'straight', distanceM: 0.5 }];
  await put('route-versions', { ...version, route: routeOf(steps) });
  const seriesId = ulid();
  const series = {
    id: seriesId,
    version: 0,
    routeVersionId: version.id,
    trying: `try of ${robot}`,
  };
  await put('series', { ...series, plannedRuns: 5, battery: null, tableLabel: null });
  const run = {
    ...runIn(seriesId),
    endXM: 0.0254,
    endYM: 0,
    endHeadingRad: 0,
    note: `by ${robot}`,
  };
  expect((await put('runs', run)).status).toBe(200);
  return { records, seriesId, runId: run.id, robot, endsIn };
}

let teams: Own[] = [];
let urls: string[] = [];
let second: ChildProcess;
beforeAll(async () => {
  const inches = {
    timeZone: 'Pacific/Auckland',
    length: 'in',
    positiveTurn: 'right',
    decimalSign: ',',
  };
  const plain = { timeZone: 'Europe/Berlin' };
  teams = [
    await newTeam('Siskin', inches, /\+1,000 in/),
    await newTeam('Dunnock', plain, /\+25\.4 mm/),
  ];
  const port = await portOfOwn();
  second = spawn(
    process.execPath,
    ['--import', `${root}/scripts/lib/beforeWeb.mjs`, `${root}/dist/server/entry.mjs`],
    {
      env: {
        ...process.env,
        NODE_ENV: 'production',
        HOST: '127.0.0.1',
        PORT: port,
        CORVAT_HOME: inject('home'),
        CORVAT_DATABASE_URL: privateUrl(inject('home'), 'team'),
      },
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
    },
  );
  urls = [inject('url'), `http://127.0.0.1:${port}`];
  await untilAnswers(urls[1] ?? '');
});
afterAll(() => second.kill());

const asked = (url: string, { records }: Own, path: string, init: RequestInit = {}) =>
  fetch(url + path, {
    ...init,
    headers: {
      'content-type': 'application/json',
      cookie: `${TEAM_COOKIE}=${records.team.id}`,
    },
  });

describe('two teams on one database and two web processes', () => {
  it('are each answered with what is theirs, in their own units and days, at the same time', async () => {
    const [one, other] = teams;
    const pages = ['/', '/runs', '/runs/all', '/robot', '/course', '/findings', '/bench'];
    const told = await Promise.all(
      pages.flatMap((path) =>
        teams.flatMap((team) =>
          urls.map(async (url) => ({
            team,
            path,
            html: await (await asked(url, team, path)).text(),
          })),
        ),
      ),
    );
    for (const { team, path, html } of told) {
      const theirs = team === one ? other : one;
      const { timeZone } = team.records.team.settings;
      expect(html.includes(`&#34;timeZone&#34;:&#34;${timeZone}&#34;`), path).toBe(true);
      expect(html.includes(`team of ${team.robot}`), path).toBe(true);
      expect(html.includes(theirs?.robot ?? '?'), path).toBe(false);
    }
    const ends = await Promise.all(
      teams.flatMap((team) =>
        urls.map(async (url) => {
          const html = await (await asked(url, team, `/findings/${team.seriesId}`)).text();
          return team.endsIn.test(html.replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' '));
        }),
      ),
    );
    expect(ends).toEqual([true, true, true, true]);
  });

  it('are made beside each other, each with a robot of its own, when that is meant', async () => {
    const [one] = teams as [Own];
    const [url = ''] = urls;
    const plain = setUp();
    const set = { ...plain, robot: { ...plain.robot, name: 'Plover' } };
    const post = (body: object) =>
      asked(url, one, '/api/teams', { method: 'POST', body: JSON.stringify(body) });
    expect((await post(set)).status).toBe(409);
    const made = await post({ ...set, another: true });
    expect(made.headers.get('set-cookie')).toContain(`${TEAM_COOKIE}=${set.team.id}`);
    const robots = async (of: Pick<Own, 'records'>) =>
      (await asked(url, of as Own, '/robot')).text();
    expect(await robots({ records: set })).toContain('Plover');
    expect(await robots(one)).not.toContain('Plover');
  });

  it('neither see nor change what is the other’s', async () => {
    const [one, other] = teams as [Own, Own];
    const [url = ''] = urls;
    const { robot, course, route, team } = one.records;
    for (const path of [`/runs/${one.seriesId}`, `/api/series/${one.seriesId}/runs.csv`]) {
      expect((await asked(url, one, path)).status, path).toBe(200);
      expect((await asked(url, other, path)).status, path).toBe(404);
    }
    const sent = (path: string, body: object) =>
      asked(url, other, path, { method: 'PUT', body: JSON.stringify(body) });
    const taken = [
      await sent(`/api/teams/${team.id}`, { ...team, version: 1, name: 'mine' }),
      await sent(`/api/robots/${robot.id}`, { ...robot, version: 1, name: 'mine' }),
      await sent(`/api/courses/${course.id}`, { ...course, version: 1, name: 'mine' }),
      await sent(`/api/routes/${route.id}`, { ...route, version: 1, name: 'mine' }),
      await sent(`/api/runs/${one.runId}`, { ...runIn(one.seriesId), id: one.runId, version: 1 }),
    ];
    expect(taken.map(({ status }) => status >= 400)).toEqual(Array(5).fill(true));
    // What is theirs points at nothing of others.
    const mixed = { ...other.records.route, id: ulid(), robotId: robot.id };
    const answer = await sent(`/api/routes/${mixed.id}`, mixed);
    expect(((await answer.json()) as { error: object }).error).toMatchObject({
      code: 'points-nowhere',
    });
    const html = await (await asked(url, one, '/robot')).text();
    expect(html).toContain('Siskin');
    expect(html).not.toContain('mine</');
  });
});
