import { teamSettings } from '../../src/formats/teamSettings';
import { ulid } from 'ulid';
import { inject } from 'vitest';
import { robotSchema } from '../../src/core/robot/robot';
import { tableSchema } from '../../src/core/table/table';
import type { RunRecord, SavedRun, TeamRecord, TeamSetUp } from '../../src/formats/records';
import { openDatabase, type Database, type TeamDatabase } from '../../src/server/database';
import { storesOf } from '../../src/server/storesOf';
import { makeTeam } from '../../src/server/stores/teams';
import { TEAM_COOKIE } from '../../src/server/teamCookie';
import { privateUrl } from '../../scripts/lib/mariadb';
import { routeOf } from '../core/support';

/** For this team is asked from here on: the one that was put last. */
let asked: string | null = null;

/** Its stores, as the server has them for it. */
export const ownStores = (db: Database): TeamDatabase => storesOf(db, asked ?? '');

export interface Answer<T = Record<string, unknown>> {
  status: number;
  body: T & { error?: { code: string; message: string; path?: string; current?: unknown } };
}

/** A page or an endpoint as that team's browser asks for it. */
export async function ask(
  path: string,
  init: { headers?: Record<string, string> } & RequestInit = {},
): Promise<Response> {
  const request = () =>
    fetch(`${inject('url')}${path}`, {
      ...init,
      headers: { ...(asked !== null && { cookie: `${TEAM_COOKIE}=${asked}` }), ...init.headers },
    });
  try {
    return await request();
  } catch (thrown) {
    // A connection that was kept open may be closed just as it is used again: a browser asks once more by another.
    const isClosed = ((thrown as Error).cause as { code?: string } | undefined)?.code;
    if (isClosed !== 'UND_ERR_SOCKET' || init.method === 'POST') throw thrown;
    return request();
  }
}

export async function send<T>(
  method: 'PUT' | 'POST' | 'GET',
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Answer<T>> {
  const response = await ask(path, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  return { status: response.status, body: (await response.json()) as Answer<T>['body'] };
}

export const put = <T>(kind: string, record: { id: string; [key: string]: unknown }) =>
  send<T>('PUT', `/api/${kind}/${record.id}`, record);

export const runsOf = async (seriesId: string): Promise<SavedRun[]> =>
  (await send<{ runs: SavedRun[] }>('GET', `/api/series/${seriesId}/runs`)).body.runs;

export const setUp = (): TeamSetUp => {
  const [team, robot, course] = [ulid(), ulid(), ulid()];
  const of = { version: 0, teamId: team, archivedAt: null };
  return {
    team: { id: team, version: 0, name: 'Quillon Yard', settings: teamSettings.parse({}) },
    robot: {
      ...of,
      id: robot,
      name: 'Pipit',
      robot: robotSchema.parse({ wheelDiameterM: 0.056, trackM: 0.13 }),
    },
    course: {
      ...of,
      id: course,
      name: 'Winter Garden',
      table: tableSchema.parse({ widthM: 2.2, heightM: 1.1 }),
    },
    route: {
      id: ulid(),
      version: 0,
      courseId: course,
      robotId: robot,
      name: 'Round',
      archivedAt: null,
    },
  };
};

/** A team beside those of other tests; whatever is asked from here on is asked for it. */
export async function putTeam(records: TeamSetUp): Promise<TeamRecord> {
  const db = openDatabase(privateUrl(inject('home'), 'team'));
  try {
    const team = await makeTeam(db, records);
    asked = team.id;
    return team;
  } finally {
    await db.sequelize.close();
  }
}

/** A series to log into, of a route of its own; with a team of its own where none is given. */
export async function newSeries(of?: TeamSetUp): Promise<string> {
  const records = of ?? setUp();
  if (of === undefined) await putTeam(records);
  const route = { ...records.route, id: ulid() };
  await put('routes', route);
  const version = { id: ulid(), routeId: route.id, note: '', route: routeOf([]) };
  await put('route-versions', version);
  const series = {
    id: ulid(),
    version: 0,
    routeVersionId: version.id,
    trying: 'a test',
    plannedRuns: 10,
    battery: null,
    tableLabel: null,
  };
  await put('series', series);
  return series.id;
}

export const runIn = (seriesId: string, part: Partial<RunRecord> = {}): RunRecord => ({
  id: ulid(),
  version: 0,
  seriesId,
  happenedAt: '2026-11-24T09:00:00.000Z',
  placedBy: 'Moss',
  battery: 'B1',
  batteryV: 8.1,
  endXM: 0.012,
  endYM: -0.003,
  endHeadingRad: 0.01,
  worked: true,
  missions: {},
  cause: null,
  note: null,
  setAsideReason: null,
  ...part,
});
