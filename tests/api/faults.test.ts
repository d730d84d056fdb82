import { connect } from 'node:net';
import { request } from 'node:http';
import { ulid } from 'ulid';
import { describe, expect, inject, it } from 'vitest';
import { missionSchema } from '../../src/core/table/table';
import type { CourseRecord, SavedRun } from '../../src/formats/records';
import { openDatabase } from '../../src/server/database';
import { findRobot } from '../../src/server/stores/robots';
import { calibrationsOf, currentOf } from '../../src/server/stores/calibrations';
import { privateUrl } from '../../scripts/lib/mariadb';
import { deg } from '../core/support';
import { newSeries, ownStores, put, putTeam, runIn, runsOf, send, setUp } from './records';

const mission = (id: string) =>
  missionSchema.parse({ id, name: `mission ${id}`, pose: { xM: 1, yM: 0.5, headingRad: 0 } });

async function newTeam() {
  const records = setUp();
  await putTeam(records);
  return records;
}

describe('input that is at fault is told so, and not to try again', () => {
  it('keeps missions apart that differ by case, accents or a space at the end only', async () => {
    const { course } = await newTeam();
    const missions = ['bee', 'Bee', 'bée', 'bee '].map(mission);
    const saved = await put<CourseRecord>('courses', {
      ...course,
      version: 1,
      table: { ...course.table, missions },
    });
    expect(saved.status).toBe(200);
    expect(saved.body.table.missions.map(({ id }) => id)).toEqual(['bee', 'Bee', 'bée', 'bee ']);
  });

  it('refuses half of a character, wherever it stands', async () => {
    const seriesId = await newSeries();
    for (const [field, half] of [
      ['"note":null', '"note":"\\ud800"'],
      ['"missions":{}', '"missions":{"\\udc00":true}'],
    ] as const) {
      const run = runIn(seriesId);
      const answer = await send(
        'PUT',
        `/api/runs/${run.id}`,
        JSON.stringify(run).replace(field, half),
      );
      expect(answer.status).toBe(422);
      expect(answer.body.error?.message).toMatch(/half characters/);
    }
    expect(await runsOf(seriesId)).toEqual([]);
  });

  it('takes a repeated save as the same, however many decimals its time is written with', async () => {
    const seriesId = await newSeries();
    const run = runIn(seriesId);
    const saved = await put<SavedRun>('runs', { ...run, happenedAt: '2026-11-24T09:00:00Z' });
    expect(saved.status).toBe(200);
    for (const happenedAt of ['2026-11-24T09:00:00.0Z', '2026-11-24T09:00:00.000000Z']) {
      expect(await put('runs', { ...run, happenedAt })).toEqual(saved);
    }
  });

  it('refuses missions that no table has, and ten thousand of them', async () => {
    const seriesId = await newSeries();
    const named = (n: number) =>
      Object.fromEntries(Array.from({ length: n }, (_, i) => [`m${i}`, true]));
    const unknown = await put('runs', runIn(seriesId, { missions: named(1) }));
    expect(unknown.status).toBe(422);
    expect(unknown.body.error).toMatchObject({ code: 'unknown-mission', path: 'missions.m0' });
    const many = await put('runs', runIn(seriesId, { missions: named(10_000) }));
    expect(many.status).toBe(422);
    expect(many.body.error?.message).toMatch(/at most 15 missions/);
    expect(await runsOf(seriesId)).toEqual([]);
  });

  it('refuses a still check with another robot’s log', async () => {
    const one = await newTeam();
    const other = { ...one.robot, id: ulid(), version: 0, name: 'Wren' };
    expect((await put('robots', other)).status).toBe(200);
    const log = {
      id: ulid(),
      robotId: one.robot.id,
      name: 'still check',
      source: 'file',
      columns: ['headingRad'],
      pieces: 1,
      samples: 2,
      takenAt: '2026-11-24T09:00:00.000Z',
    };
    await put('bench-logs', log);
    const check = {
      id: ulid(),
      version: 0,
      robotId: other.id,
      logId: log.id,
      takenAt: log.takenAt,
      powerUp: 'not known',
      sincePowerUpS: null,
      school: null,
      beforeId: null,
      runDurationS: 150,
      toleranceRad: deg(2),
      setAsideReason: null,
    };
    const answer = await put('still-checks', check);
    expect(answer.status).toBe(422);
    expect(answer.body.error).toMatchObject({ code: 'other-robot', path: 'logId' });
  });
});

describe('the server', () => {
  const { hostname, port } = new URL(inject('url'));

  it('answers a method that it does not know with 405', async () => {
    const status = await new Promise((answered) => {
      request(inject('url'), { method: 'TRACE' }, (response) => {
        response.resume();
        answered(response.statusCode);
      }).end();
    });
    expect(status).toBe(405);
  });

  it('closes a body that does not come', async () => {
    const began = Date.now();
    const socket = connect(Number(port), hostname);
    socket.write(
      `PUT /api/runs/x HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: application/json\r\nContent-Length: 1000\r\n\r\n{`,
    );
    await new Promise((closed) => {
      socket.on('data', () => undefined);
      socket.on('close', closed);
    });
    expect(Date.now() - began).toBeLessThan(25_000);
  });

  it('lets a burst of fifty in without a fault', async () => {
    const paths = ['/', '/runs', '/findings', '/bench/still', '/robot'];
    const answers = await Promise.all(
      Array.from({ length: 50 }, (_, i) =>
        fetch(`${inject('url')}${paths[i % paths.length] ?? '/'}`).then(({ status }) => status),
      ),
    );
    expect(answers.filter((status) => status >= 500)).toEqual([]);
  });
});

describe('a clock that was set back', () => {
  it('does not keep a change from holding', async () => {
    const { robot } = await newTeam();
    const apply = async (driftRadPerS: number) => {
      const id = ulid();
      const answer = await send('POST', '/api/calibrations', {
        calibration: {
          id,
          robotId: robot.id,
          value: { kind: 'gyro-drift', driftRadPerS, low95: 0, high95: 0.1 },
          evidence: { trialsId: null, stillCheckId: null, raw: [] },
          surface: null,
          battery: null,
        },
        change: {
          id: ulid(),
          robotId: robot.id,
          kind: 'gyro-drift',
          calibrationId: id,
          reason: 'measured',
          who: null,
        },
      });
      expect(answer.status).toBe(200);
      return id;
    };
    const db = openDatabase(privateUrl(inject('home'), 'team'));
    try {
      const first = await apply(0.01);
      // As if the clock had been an hour ahead then.
      const ahead = new Date(Date.now() + 3_600_000);
      await db.models.calibrationChange.update(
        { changedAt: ahead },
        { where: { calibrationId: first } },
      );
      const second = await apply(0.02);
      const record = await findRobot(ownStores(db), robot.id);
      if (record === null) throw new Error('no robot');
      const current = currentOf(await calibrationsOf(ownStores(db), record), record);
      expect(current['gyro-drift']?.id).toBe(second);
    } finally {
      await db.sequelize.close();
    }
  });
});
