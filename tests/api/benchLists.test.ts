import { ulid } from 'ulid';
import { describe, expect, it } from 'vitest';
import { put, putTeam, setUp } from './records';

const team = setUp();
const made = putTeam(team);
const robotId = team.robot.id;

describe('lists of trials', () => {
  const list = (procedure: string, trials: object[], conditions: object = {}) => ({
    id: ulid(),
    version: 0,
    robotId,
    procedure,
    conditions: { surface: '', battery: '', who: '', ...conditions },
    trials: trials.map((trial) => ({ id: ulid(), setAsideReason: null, ...trial })),
    archivedAt: null,
  });
  const drive = { command: 0.3, batteryV: 7.9, distanceM: 1, timeS: 4.2 };
  const press = { power: 0.35, timeS: 0.8, beforeRad: 0.08, afterRad: -0.01 };
  const reading = { part: 'box to wall', person: 'Moss', valueM: 0.12 };
  const placed = {
    person: 'Juniper',
    way: 'in the jig',
    noseAlongM: 0.112,
    noseAcrossM: 0.001,
    tailAcrossM: -0.002,
  };
  const marks = { noseToTailM: 0.17, noseToAxleM: 0.11, planned: null };
  const judged = {
    seed: 4_294_967_295,
    cause: 'good',
    answer: 'too-weak',
    answeredAt: '2026-11-24T09:00:00.000Z',
  };

  it.each([
    ['speed', drive, {}],
    ['squaring', press, {}],
    ['gauge', reading, {}],
    ['placing', placed, marks],
    ['drill', judged, { name: 'Juniper' }],
  ] as const)(
    'of %s are kept as they were sent, and again as the same',
    async (procedure, trial, more) => {
      await made;
      const record = list(procedure, [trial], more);
      const first = await put<{ version: number }>('bench-trials', record);
      expect(first.status).toBe(200);
      expect(first.body).toMatchObject({ version: 1, trials: record.trials, conditions: more });
      expect((await put<{ version: number }>('bench-trials', record)).body.version).toBe(1);
      const changed = { ...record, version: 1, trials: [] };
      expect((await put<{ version: number }>('bench-trials', changed)).body.version).toBe(2);
      // Another screen that knows only the first is told what stands there.
      expect((await put('bench-trials', { ...record, trials: [] })).status).toBe(409);
    },
  );

  it.each([
    ['speed', { ...drive, command: 30 }, 'trials[0].command'],
    ['speed', { ...drive, timeS: 0 }, 'trials[0].timeS'],
    ['speed', { ...drive, distanceM: -1 }, 'trials[0].distanceM'],
    ['squaring', { ...press, beforeRad: 5.7 }, 'trials[0].beforeRad'],
    ['squaring', { ...press, power: 0 }, 'trials[0].power'],
    ['gauge', { ...reading, person: ' ' }, 'trials[0].person'],
    ['gauge', { ...reading, part: 'x'.repeat(41) }, 'trials[0].part'],
    ['placing', { ...placed, way: 'on the shelf' }, 'trials[0].way'],
    ['placing', { ...placed, noseAlongM: 112 }, 'trials[0].noseAlongM'],
    ['drill', { ...judged, seed: -1 }, 'trials[0].seed'],
    ['drill', { ...judged, answeredAt: 'yesterday' }, 'trials[0].answeredAt'],
  ] as const)(
    'of %s say where a value does not fit, and keep nothing',
    async (procedure, trial, path) => {
      await made;
      const more: Record<string, object> = { drill: { name: '' }, placing: marks };
      const record = list(procedure, [trial], more[procedure]);
      const { status, body } = await put('bench-trials', record);
      expect(status).toBe(422);
      expect(body.error?.path).toBe(path);
      expect((await put('bench-trials', { ...record, trials: [] })).status).toBe(200);
    },
  );
});
