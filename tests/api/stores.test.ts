import { ulid } from 'ulid';
import { describe, expect, inject, it } from 'vitest';
import type { CourseRecord, RobotRecord, SavedRun } from '../../src/formats/records';
import { missionSchema } from '../../src/core/table/table';
import { withHeading } from '../../src/core/devices/ofRobot';
import { databasePid, untilAnswers } from '../support/corvat';
import { ask, newSeries, put, putTeam, runIn, runsOf, send, setUp } from './records';

const mission = (id: string, xM: number) =>
  missionSchema.parse({
    id,
    name: `mission ${id}`,
    pose: { xM, yM: 0.5, headingRad: 0 },
    points: 10,
  });

async function newTeam() {
  const records = setUp();
  await putTeam(records);
  return records;
}

describe('courses', () => {
  it('keep their missions in order, and lose those that are taken away', async () => {
    const { course } = await newTeam();
    const table = {
      ...course.table,
      missions: ['b', 'a', 'c'].map((id, i) => mission(id, i / 10)),
    };
    const first = (await put<CourseRecord>('courses', { ...course, version: 1, table })).body;
    expect(first.version).toBe(2);
    const fewer = { ...table, missions: table.missions.slice(1) };
    await put('courses', { ...first, table: fewer });
    // A change based on what stood there first is shown what stands there now, missions and all.
    const late = await put('courses', { ...first, name: 'late' });
    expect(late.status).toBe(409);
    expect(late.body.error?.current).toEqual({ ...first, version: 3, table: fewer });
  });

  it('keep what is printed on their mat until it is taken away', async () => {
    const { course } = await newTeam();
    const place = { x1M: 0, y1M: 0, x2M: 2, y2M: 1 };
    const mat = { ...place, columns: 3, colours: ['#ffffff', '#000000'], rows: ['2a1b', '3b'] };
    const table = { ...course.table, mat };
    const first = (await put<CourseRecord>('courses', { ...course, version: 1, table })).body;
    expect(first.table).toEqual(table);
    const bare = (await put<CourseRecord>('courses', { ...first, table: course.table })).body;
    expect(bare.table).toEqual(course.table);
  });

  it.each<[string, object, string]>([
    [
      'two missions of one id',
      { missions: [mission('a', 0.1), mission('a', 0.2)] },
      'table.missions',
    ],
    [
      'too many missions',
      { missions: Array.from({ length: 16 }, (_, i) => mission(`m${i}`, 0.1)) },
      'table.missions',
    ],
    [
      'a window without size',
      { missions: [{ ...mission('a', 0.1), window: { alongM: 0 } }] },
      'table.missions[0].window.alongM',
    ],
    ['a table of no size', { widthM: 0 }, 'table.widthM'],
  ])('with %s are refused', async (_, part, path) => {
    const { course } = await newTeam();
    const answer = await put('courses', {
      ...course,
      version: 1,
      table: { ...course.table, ...part },
    });
    expect(answer.status).toBe(422);
    expect(answer.body.error?.path).toBe(path);
  });
});

describe('robots', () => {
  it('keep every value to the last digit', async () => {
    const { robot } = await newTeam();
    const exact: RobotRecord = {
      ...robot,
      version: 1,
      robot: {
        ...withHeading(robot.robot, { driftRadPerS: 1e-17 / 3 }),
        wheelDiameterM: 0.1 + 0.2,
      },
    };
    await put('robots', exact);
    const stale = await put('robots', { ...robot, version: 1 });
    expect(stale.body.error?.current).toEqual({ ...exact, version: 2 });
  });

  it.each<[string, Partial<RobotRecord['robot']>, string]>([
    ['no wheels', { wheelDiameterM: 0 }, 'robot.wheelDiameterM'],
    [
      'a body that is not there',
      { body: { frontM: 0.1, rearM: 0.1, halfWidthM: 0 } },
      'robot.body.halfWidthM',
    ],
  ])('with %s are refused', async (_, part, path) => {
    const { robot } = await newTeam();
    const answer = await put('robots', {
      ...robot,
      version: 1,
      robot: { ...robot.robot, ...part },
    });
    expect(answer.body.error).toMatchObject({ code: 'invalid', path });
  });
});

describe('a set-up', () => {
  it('is there as a whole or not at all', async () => {
    const records = setUp();
    const broken = { ...records, route: { ...records.route, courseId: ulid() } };
    await expect(putTeam(broken)).rejects.toThrow();
    const robot = await put('robots', { ...records.robot, version: 1 });
    expect(robot.status).toBe(404);
    expect((await putTeam(records)).version).toBe(1);
  });
});

describe('runs', () => {
  it('are exported as they were logged, those set aside with their reason', async () => {
    const seriesId = await newSeries();
    await put('runs', runIn(seriesId, { endXM: 0.0125, endYM: -0.004, placedBy: 'Tam, the tall' }));
    await put(
      'runs',
      runIn(seriesId, { endXM: null, endYM: null, worked: false, setAsideReason: 'bumped' }),
    );
    const response = await ask(`/api/series/${seriesId}/runs.csv`);
    expect(response.headers.get('content-disposition')).toContain('attachment');
    const [head, first, second] = (await response.text()).split('\n');
    expect(head).toContain('end_x_mm');
    expect(first).toContain('"Tam, the tall",B1,8.1,12.5,-4,');
    expect(second).toMatch(/,,,.*,0,.*bumped$/);
  });

  it('are set aside and taken back without losing anything', async () => {
    const seriesId = await newSeries();
    const run = (await put<SavedRun>('runs', runIn(seriesId, { note: 'kept' }))).body;
    const aside = (await put<SavedRun>('runs', { ...run, setAsideReason: 'a sleeve' })).body;
    const back = (await put<SavedRun>('runs', { ...aside, setAsideReason: null })).body;
    expect(back).toEqual({ ...run, version: 3 });
  });

  it('cannot be moved into another series under the same address by an import', async () => {
    const [one, other] = [await newSeries(), await newSeries()];
    const answer = await send('POST', `/api/series/${one}/import`, { runs: [runIn(other)] });
    expect(answer.body.error?.path).toBe('runs[0].seriesId');
    expect(await runsOf(other)).toEqual([]);
  });

  it('of an import are limited in number and size', async () => {
    const seriesId = await newSeries();
    const path = `/api/series/${seriesId}/import`;
    expect((await send('POST', path, { runs: [] })).status).toBe(422);
    const note = 'x'.repeat(500);
    const many = Array.from({ length: 3000 }, () => runIn(seriesId, { note }));
    expect((await send('POST', path, { runs: many })).status).toBe(413);
    expect(await runsOf(seriesId)).toEqual([]);
  });
});

describe('pages', () => {
  it('say in a sentence when the database is away, without telling how they are made', async () => {
    const seriesId = await newSeries();
    process.kill(databasePid({ home: inject('home') }), 'SIGKILL');
    const response = await ask(`/findings/${seriesId}`);
    const text = await response.text();
    await untilAnswers(inject('url'));
    expect([200, 503]).toContain(response.status);
    if (response.status === 503) expect(text).toContain('Corvat cannot show this just now');
    expect(text).not.toMatch(/Sequelize|node_modules|at async/);
    expect((await ask(`/findings/${seriesId}`)).status).toBe(200);
  });

  it.each([
    '/nowhere',
    '/runs/none',
    '/runs/none/sheet',
    '/findings/none',
    '/course/card',
    '/course/card?version=none',
  ])('%s is not there, and says so', async (path) => {
    const response = await fetch(inject('url') + path);
    expect(response.status).toBe(404);
    expect(await response.text()).toContain('This page is not there');
  });

  it('are not made for strange addresses, nor do those harm', async () => {
    for (const path of [
      "/runs/'%3BDROP%20TABLE%20run",
      '/course?route=%00',
      `/robot?robot=${'x'.repeat(5000)}`,
    ]) {
      expect((await fetch(inject('url') + path)).status).toBeLessThan(500);
    }
  });
});
