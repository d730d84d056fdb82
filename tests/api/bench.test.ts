import { ulid } from 'ulid';
import { describe, expect, it } from 'vitest';
import type { SavedCalibrationChange, SavedStillCheck } from '../../src/formats/benchRecords';
import type { BenchLogRecord } from '../../src/formats/benchLogs';
import type { RobotRecord } from '../../src/formats/records';
import { randomStream } from '../../src/core/stats/random';
import { simulateStillHeading } from '../../src/core/simulate/stillLog';
import type { StandInReport } from '../../src/server/stores/standIns';
import { deg } from '../core/support';
import { ask, put, putTeam, send, setUp } from './records';

const team = setUp();
const made = putTeam(team);
const robotId = team.robot.id;

const still = simulateStillHeading(
  {
    driftRadPerS: deg(0.3),
    walkRadPerSqrtS: deg(0.01),
    quantumRad: deg(0.1),
    lengthS: 40,
    periodS: 0.02,
    jitterS: 0,
  },
  randomStream(1, 0, 'api'),
);

async function sendLog(pieces = 2, sent = pieces): Promise<BenchLogRecord> {
  await made;
  const log: BenchLogRecord = {
    id: ulid(),
    robotId,
    name: 'still check',
    source: 'file',
    columns: ['headingRad'],
    pieces,
    samples: still.tS.length,
    takenAt: new Date().toISOString(),
  };
  expect((await put('bench-logs', log)).status).toBe(200);
  const size = Math.ceil(still.tS.length / pieces);
  for (let number = 0; number < sent; number += 1) {
    const part = (values: Float64Array) =>
      Array.from(values.subarray(number * size, (number + 1) * size));
    const piece = { number, tS: part(still.tS), columns: { headingRad: part(still.headingRad) } };
    const answer = await send('POST', `/api/bench-logs/${log.id}/pieces`, piece);
    expect(answer.status).toBe(200);
    // A repeated piece is the same piece; another one under its number is refused.
    expect((await send('POST', `/api/bench-logs/${log.id}/pieces`, piece)).status).toBe(200);
    const other = { ...piece, tS: piece.tS.map((t) => t + 1) };
    expect((await send('POST', `/api/bench-logs/${log.id}/pieces`, other)).status).toBe(409);
  }
  return log;
}

const checkOf = (logId: string) => ({
  id: ulid(),
  version: 0,
  robotId,
  logId,
  takenAt: new Date().toISOString(),
  powerUp: 'in the hand',
  school: null,
  beforeId: null,
  runDurationS: 150,
  toleranceRad: deg(2),
  setAsideReason: null,
});

describe('a still check', () => {
  it('is computed by the server from the log that came in pieces', async () => {
    const log = await sendLog();
    const check = checkOf(log.id);
    const { status, body } = await put<SavedStillCheck>('still-checks', check);
    expect(status).toBe(200);
    expect(body.result.verdict).toBe('re-zero');
    expect(Math.abs(body.result.driftRadPerS - deg(0.3))).toBeLessThan(deg(0.02));
    expect((await put<SavedStillCheck>('still-checks', check)).body.version).toBe(1);
  });

  it('of a log that did not come whole, or is not there, is refused and not kept', async () => {
    const log = await sendLog(3, 2);
    const answer = await put('still-checks', checkOf(log.id));
    expect(answer.status).toBe(422);
    expect(answer.body.error?.message).toMatch(/Only 2 of 3 pieces/);
    expect((await put('still-checks', checkOf(ulid()))).status).toBe(404);
  });

  it('refuses pieces that do not fit the log', async () => {
    const log = await sendLog();
    const piece = (over: object) =>
      send('POST', `/api/bench-logs/${log.id}/pieces`, {
        number: 0,
        tS: [0],
        columns: { headingRad: [0] },
        ...over,
      });
    expect((await piece({ number: 7 })).status).toBe(422);
    expect((await piece({ columns: { headingRad: [0, 1] } })).body.error?.message).toMatch(
      /one length/,
    );
    expect((await piece({ columns: { rateRadPerS: [0] } })).status).toBe(422);
    expect((await piece({ tS: [1e300] })).status).toBe(422);
  });
});

describe('the stand-in', () => {
  const read = async (since = 0) =>
    (await send<StandInReport>('GET', `/api/stand-in?since=${since}`)).body;
  const act = (action: object, id = ulid()) =>
    send<StandInReport>('POST', '/api/stand-in', { id, action });

  it('is one for the team, on a stepped clock, and a repeated action is one', async () => {
    await made;
    await act({ do: 'set-clock', rate: 0 });
    const from = (await read(1e9)).view.nowS;
    const id = ulid();
    await Promise.all([
      act({ do: 'advance', durationS: 10 }, id),
      act({ do: 'advance', durationS: 10 }, id),
    ]);
    expect((await read(1e9)).view.nowS).toBeCloseTo(from + 10, 6);
    await act({ do: 'power-on', inHand: false });
    await act({ do: 'advance', durationS: 2 });
    const [one, other] = await Promise.all([read(from), read(from)]);
    expect(one).toEqual(other);
    expect(one.readings.length).toBeGreaterThan(90);
    expect(one.truth).toBeNull();
  });

  it('says in a sentence what cannot be done now', async () => {
    await made;
    await act({ do: 'set-clock', rate: 0 });
    await act({ do: 'advance', durationS: 30 });
    await act({ do: 'power-off' });
    const refused = await act({ do: 'zero' });
    expect(refused.status).toBe(409);
    expect(refused.body.error?.message).toMatch(/switched off/);
    expect((await act({ do: 'fly' })).status).toBe(422);
  });
});

describe('calibrations', () => {
  const value = { kind: 'gyro-drift', driftRadPerS: 0.001, low95: 0, high95: 0.002 };
  const apply = async (over: object = {}) => {
    await made;
    const id = ulid();
    const request = {
      calibration: {
        id,
        robotId,
        value: { ...value, ...over },
        evidence: { trialsId: null, stillCheckId: null, raw: [] },
        surface: null,
        battery: null,
      },
      change: {
        id: ulid(),
        robotId,
        kind: 'gyro-drift',
        calibrationId: id,
        reason: 'measured',
        who: 'Moss',
      },
    };
    return { id, request, answer: await send('POST', '/api/calibrations', request) };
  };

  it('are kept for good, with a journal; going back is a line of it', async () => {
    const first = await apply();
    expect(first.answer.status).toBe(200);
    const again = await send('POST', '/api/calibrations', first.request);
    expect(again.body).toEqual(first.answer.body);
    const changed = {
      ...first.request,
      calibration: { ...first.request.calibration, value: { ...value, driftRadPerS: 9 } },
    };
    expect((await send('POST', '/api/calibrations', changed)).status).toBe(409);
    const back = {
      id: ulid(),
      robotId,
      kind: 'gyro-drift',
      calibrationId: null,
      reason: 'taken back',
      who: null,
    };
    const { body } = await put<SavedCalibrationChange>('calibration-changes', back);
    expect(body).toMatchObject(back);
  });

  it('of another unit than the journal names are refused', async () => {
    const { id } = await apply();
    const change = {
      id: ulid(),
      robotId,
      unitId: ulid(),
      kind: 'gyro-drift',
      calibrationId: id,
      reason: 'another sensor',
      who: null,
    };
    expect((await put('calibration-changes', change)).status).toBe(422);
  });

  it('that are tried again stay what holds; an earlier one is not brought back by it', async () => {
    const [earlier, holds] = [await apply(), await apply()];
    const tried = (calibrationId: string) => ({
      id: ulid(),
      robotId,
      kind: 'gyro-drift',
      calibrationId,
      reason: 'It still holds.',
      who: null,
      checked: true,
    });
    const line = tried(holds.id);
    expect((await put('calibration-changes', line)).status).toBe(200);
    expect((await put('calibration-changes', line)).status, 'sent twice').toBe(200);
    expect((await put('calibration-changes', tried(earlier.id))).status).toBe(409);
    expect((await put('calibration-changes', tried(holds.id))).status).toBe(200);
  });

  it('that point nowhere or at another kind are refused, and nothing is half-kept', async () => {
    const { id } = await apply();
    const change = {
      id: ulid(),
      robotId,
      kind: 'turns',
      calibrationId: id,
      reason: 'wrong',
      who: null,
    };
    expect((await put('calibration-changes', change)).status).toBe(422);
    expect((await put('calibration-changes', { ...change, calibrationId: ulid() })).status).toBe(
      422,
    );
  });
});

describe('a changed robot', () => {
  it('notes by itself what was changed, once', async () => {
    await made;
    const robot = (await put<RobotRecord>('robots', { ...team.robot, version: 1, name: 'Wren' }))
      .body;
    expect(robot.version).toBe(2);
    const wider = { ...robot, robot: { ...robot.robot, trackM: robot.robot.trackM + 0.01 } };
    const saved = await put<RobotRecord>('robots', wider);
    expect((await put<RobotRecord>('robots', wider)).body).toEqual(saved.body);
    const page = await (await ask(`/robot?robot=${robotId}`)).text();
    expect(page.match(/wheels and track/g)?.length).toBeGreaterThan(0);
    expect(page).toContain('Changed in the record');
  });
});
