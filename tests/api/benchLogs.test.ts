import { ulid } from 'ulid';
import { describe, expect, it } from 'vitest';
import { parseJsonLines } from '../../src/formats/jsonLines';
import type { RunLogRecord, SavedStillCheck } from '../../src/formats/benchRecords';
import type { BenchLogPiece, BenchLogRecord } from '../../src/formats/benchLogs';
import { toLog } from '../../src/formats/toLog';
import { randomStream } from '../../src/core/stats/random';
import { simulateStillHeading } from '../../src/core/simulate/stillLog';
import { turnsInLog } from '../../src/core/turns/turnsInLog';
import { deg } from '../core/support';
import { ask, put, putTeam, send, setUp } from './records';

const team = setUp();
const made = putTeam(team);
const robotId = team.robot.id;

/** A log of a heading that creeps, and wanders a little. */
async function keepLog(
  driftDegPerS: number,
  lengthS: number,
  motorDegPerS = 10,
): Promise<BenchLogRecord> {
  await made;
  const still = simulateStillHeading(
    {
      driftRadPerS: deg(driftDegPerS),
      walkRadPerSqrtS: deg(0.005),
      quantumRad: 0,
      lengthS,
      periodS: 0.05,
      jitterS: 0,
    },
    randomStream(3, 0, 'logs'),
  );
  const tS = Array.from({ length: lengthS * 20 }, (_, i) => i / 20);
  const headingRad = Array.from(still.headingRad).slice(0, tS.length);
  const log: BenchLogRecord = {
    id: ulid(),
    robotId,
    name: 'run',
    source: 'serial',
    columns: ['headingRad', 'leftMotorDegrees', 'rightMotorDegrees'],
    pieces: 2,
    samples: tS.length,
    takenAt: '2026-11-21T10:00:00.000Z',
  };
  await put('bench-logs', log);
  for (const number of [1, 0]) {
    const part = (values: number[]) =>
      values.slice((number * tS.length) / 2, ((number + 1) * tS.length) / 2);
    await send('POST', `/api/bench-logs/${log.id}/pieces`, {
      number,
      tS: part(tS),
      columns: {
        headingRad: part(headingRad),
        leftMotorDegrees: part(tS.map((t) => motorDegPerS * t)),
        rightMotorDegrees: part(tS.map((t) => 1.1 * motorDegPerS * t)),
      },
    });
  }
  return log;
}

describe('a kept log', () => {
  it('comes back piece by piece as it was sent, whatever the order', async () => {
    const log = await keepLog(0.2, 40);
    const back = await send<BenchLogRecord>('GET', `/api/bench-logs/${log.id}`);
    expect(back.body).toEqual(log);
    const pieces = await Promise.all(
      [0, 1].map((number) =>
        send<BenchLogPiece>('GET', `/api/bench-logs/${log.id}/pieces?number=${number}`),
      ),
    );
    const tS = pieces.flatMap(({ body }) => body.tS);
    expect(tS).toHaveLength(800);
    expect(tS.every((t, i) => Math.abs(t - i / 20) < 1e-9)).toBe(true);
    expect(pieces[1]?.body.columns.rightMotorDegrees?.at(-1)).toBeCloseTo(11 * 39.95, 6);
  });

  it('that is not there, or has no such piece, is said so', async () => {
    const log = await keepLog(0, 12);
    expect((await send('GET', `/api/bench-logs/${ulid()}`)).status).toBe(404);
    for (const number of ['2', '-1', 'x', '']) {
      const answer = await send('GET', `/api/bench-logs/${log.id}/pieces?number=${number}`);
      expect(answer.status, number).toBe(404);
    }
  });

  it('keeps its gaps, and any of its channels is read without the others', async () => {
    await made;
    const log: BenchLogRecord = {
      id: ulid(),
      robotId,
      name: 'two sensors',
      source: 'file',
      columns: ['distanceM:front', 'distanceM:side', 'touch:bumper'],
      pieces: 1,
      samples: 3,
      takenAt: '2026-11-21T10:00:00.000Z',
    };
    await put('bench-logs', log);
    const piece: BenchLogPiece = {
      number: 0,
      tS: [0, 0.02, 0.04],
      columns: {
        'distanceM:front': [null, 0.299, null],
        'distanceM:side': [0.1 + 0.2, null, 1e-9],
        'touch:bumper': [0, 0, 1],
      },
    };
    const path = `/api/bench-logs/${log.id}/pieces`;
    expect((await send('POST', path, piece)).status).toBe(200);
    // Sent once more after a lost answer it is the same piece; another is not.
    expect((await send('POST', path, piece)).status).toBe(200);
    const other = { ...piece, columns: { ...piece.columns, 'touch:bumper': [0, 1, 1] } };
    expect((await send('POST', path, other)).status).toBe(409);
    expect((await send('GET', `${path}?number=0`)).body).toEqual(piece);
    const part = await send<BenchLogPiece>('GET', `${path}?number=0&channels=touch:bumper`);
    expect(part.body.columns).toEqual({ 'touch:bumper': [0, 0, 1] });
  });

  it.each([['noSuchThing'], ['distanceM'], ['headingRad:left']])(
    'with a channel that is none is refused: %s',
    async (key) => {
      const log = await keepLog(0, 12);
      const answer = await put('bench-logs', { ...log, id: ulid(), columns: [key] });
      expect(answer.body.error).toMatchObject({ code: 'invalid', path: 'columns[0]' });
    },
  );
});

describe('what counts as steady', () => {
  it('is kept with the check, and the server judges by it', async () => {
    // 0.004 °/s turn a run of 150 s by 0.6°: more than a quarter of 2°, less than a half.
    const log = await keepLog(0.004, 600, 0);
    const check = (settings?: object) => ({
      id: ulid(),
      version: 0,
      robotId,
      logId: log.id,
      takenAt: log.takenAt,
      powerUp: 'lying still',
      school: null,
      beforeId: null,
      runDurationS: 150,
      toleranceRad: deg(2),
      setAsideReason: null,
      ...(settings !== undefined && { settings }),
    });
    const usual = await put<SavedStillCheck>('still-checks', check());
    expect(usual.body.result.verdict).toBe('steady');
    expect(usual.body.settings.driftShare).toBe(0.5);
    const settings = { driftShare: 0.25, healthyRadPerS: deg(0.1) };
    const careful = await put<SavedStillCheck>('still-checks', check(settings));
    expect(careful.body.result.verdict).toBe('correctable');
    expect(careful.body.settings).toEqual(settings);
    const strict = { driftShare: 0.1, healthyRadPerS: deg(0.0005) };
    const badly = await put<SavedStillCheck>('still-checks', check(strict));
    expect(badly.body.result.verdict).toBe('re-zero');
    const driven = await keepLog(0.004, 40);
    const refused = await put<object>('still-checks', { ...check(), logId: driven.id });
    expect(refused.status).toBe(422);
    expect(refused.body.error?.message).toMatch(/^This is no robot at rest/);
    const wrong = await put<{ error: { message: string } }>(
      'still-checks',
      check({ driftShare: 7, healthyRadPerS: 1 }),
    );
    expect(wrong.status).toBe(422);
    expect(wrong.body.error.message).toContain('settings.driftShare');
  });
});

describe('a recorded run', () => {
  it('keeps its anchors, changed on two screens only one after the other', async () => {
    const log = await keepLog(0.2, 40);
    const run: RunLogRecord = {
      id: ulid(),
      version: 0,
      robotId,
      procedure: 'run-log',
      conditions: {
        surface: '',
        battery: '',
        who: '',
        readToM: null,
        logId: log.id,
        name: 'run 7',
      },
      trials: [{ id: ulid(), tS: 0, headingRad: 0, what: 'start jig' }],
      archivedAt: null,
    };
    const first = await put<RunLogRecord>('bench-trials', run);
    expect(first.body.version).toBe(1);
    const more = {
      ...first.body,
      trials: [...run.trials, { id: ulid(), tS: 30, headingRad: deg(90), what: 'far wall' }],
    };
    expect((await put<RunLogRecord>('bench-trials', more)).body.version).toBe(2);
    const late = await put<{ error: { current: RunLogRecord } }>('bench-trials', {
      ...first.body,
      trials: [],
    });
    expect(late.status).toBe(409);
    expect(late.body.error.current.trials.map(({ what }) => what)).toEqual([
      'start jig',
      'far wall',
    ]);
    const page = await ask(`/bench/run-log?robot=${robotId}&list=${run.id}`);
    const html = await page.text();
    expect(html).toContain('run 7');
    expect(html).toContain('2 anchors');
    // Put out of the way it is kept, and opens from among the archived.
    const archivedAt = '2026-11-20T10:00:00.000Z';
    const away = await put<RunLogRecord>('bench-trials', { ...more, version: 2, archivedAt });
    expect(away.body).toMatchObject({ version: 3, archivedAt });
    const later = await (await ask(`/bench/run-log?robot=${robotId}`)).text();
    expect(later).toMatch(/Archived: (<!-- -->)?1/);
  });
});

describe('the stand-in', () => {
  it('writes its last minutes to a file that is read like any robot’s', async () => {
    await made;
    const act = (action: object) => send('POST', '/api/stand-in', { id: ulid(), action });
    await act({ do: 'set-clock', rate: 0 });
    await act({ do: 'power-on', inHand: false });
    await act({ do: 'advance', durationS: 3 });
    await act({ do: 'turn-by-hand', angleRad: deg(-90) });
    await act({ do: 'advance', durationS: 6 });
    const answer = await ask('/api/stand-in/readings');
    expect(answer.headers.get('content-disposition')).toContain('stand-in.jsonl');
    const table = parseJsonLines(await answer.text(), () => undefined);
    expect(table.badCount).toBe(0);
    const { signs } = team.robot.robot;
    const log = toLog(table, { signs, encodersRollOver: false });
    // Its raw heading shrinks turning left; this team's record does not know yet.
    const raw = (log.columns.headingRad?.at(-1) ?? 0) - (log.columns.headingRad?.[0] ?? 0);
    expect(signs.heading * raw).toBeCloseTo(deg(90), 1);
    const [turn] = turnsInLog({ tS: log.tS, headingRad: log.columns.headingRad ?? log.tS });
    expect(Math.abs(turn?.turnedRad ?? 0)).toBeCloseTo(deg(90), 1);
  });
});
