import { describe, expect, it } from 'vitest';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import type { CalibrationValue } from '../../src/core/calibration/calibration';
import type { Freshness } from '../../src/core/text/freshness';
import { robotSchema } from '../../src/core/robot/robot';
import type { SavedCalibration, SavedStillCheck } from '../../src/formats/benchRecords';
import type { BenchFacts } from '../../src/stations/bench/procedure';
import { PROCEDURES } from '../../src/stations/bench/procedures';
import { deg } from '../core/support';

const now = new Date('2026-11-25T12:00:00.000Z');
const fresh: Freshness = { text: 'today', state: 'fresh' };

interface Held {
  checks?: Partial<SavedStillCheck>[];
  values?: CalibrationValue[];
  runs?: string[];
  trials?: { setAsideReason: string | null }[];
  validity?: Freshness;
  signs?: { heading?: 1 | -1; leftMotor?: 1 | -1; rightMotor?: 1 | -1 };
}

/** What is kept of a robot, made up. */
function facts({
  checks = [],
  values = [],
  runs = [],
  trials = [],
  validity = fresh,
  signs = {},
}: Held) {
  const robot = robotSchema.parse({ wheelDiameterM: 0.056, trackM: 0.13, signs });
  const holding = Object.fromEntries(
    values.map((value) => [value.kind, { value, madeAt: '2026-11-20T10:00:00.000Z' }]),
  ) as Partial<Record<CalibrationValue['kind'], SavedCalibration>>;
  return {
    robot: { id: 'r', version: 1, teamId: 't', name: 'Pipit', robot, archivedAt: null },
    now,
    wishes: new URLSearchParams(),
    stillChecks: () => Promise.resolve(checks as SavedStillCheck[]),
    trials: () =>
      Promise.resolve({
        lists: runs.map((startedAt) => ({ startedAt, archivedAt: null })),
        open: trials.length === 0 ? null : { id: 'list', trials },
      }),
    holding: () => Promise.resolve(holding),
    validity: () => Promise.resolve({ 'gyro-drift': validity, turns: validity, drive: validity }),
    fitted: (found: CalibrationValue[]) => fittedRobot(robot, found),
  } as unknown as BenchFacts;
}

const knownOf = (id: string, held: Held) => {
  const procedure = PROCEDURES.find((one) => one.id === id);
  if (procedure === undefined) throw new Error(`no procedure ${id}`);
  return procedure.known(facts(held));
};

const check = (
  driftDeg: number,
  over: Partial<SavedStillCheck> = {},
): Partial<SavedStillCheck> => ({
  takenAt: '2026-11-21T10:00:00.000Z',
  school: null,
  setAsideReason: null,
  result: {
    driftRadPerS: deg(driftDeg),
    low95: deg(driftDeg - 0.007),
    high95: deg(driftDeg + 0.007),
    verdict: 'steady',
  } as SavedStillCheck['result'],
  ...over,
});

describe('what the overview says of a procedure', () => {
  it.each(['still', 're-zero', 'turns', 'square', 'run-log'])(
    'is nothing where nothing was done: %s',
    async (id) => {
      expect(await knownOf(id, {})).toEqual({ sentence: null, freshness: null });
    },
  );

  it('is the newest still check that counts, with its interval and its age', async () => {
    const checks = [check(0.4, { setAsideReason: 'somebody touched it' }), check(0.001)];
    expect(await knownOf('still', { checks })).toEqual({
      sentence: 'Creeps by 0.001 ± 0.007 °/s: leave it as it is.',
      freshness: { text: '4 days old', state: 'fresh' },
    });
  });

  it('is the way of getting rid of drift that helped most often', async () => {
    const checks = [
      check(0, { school: 'restart' }),
      check(0, { school: 'restart' }),
      check(0.4, {
        school: 're-initialise',
        result: { ...check(0.4).result, verdict: 're-zero' } as SavedStillCheck['result'],
      }),
    ];
    const { sentence } = await knownOf('re-zero', { checks });
    expect(sentence).toBe('Restart the controller, lying still: helped 2 of 2 times.');
  });

  it('is the calibration that holds, and whether it still can', async () => {
    const drive: CalibrationValue = {
      kind: 'drive',
      trackRatio: 1.0139,
      leftWheelFactor: 0.9985,
      rightWheelFactor: 1.0015,
    };
    const stale: Freshness = { text: 'measure again: motors changed since', state: 'missing' };
    const { sentence, freshness } = await knownOf('square', { values: [drive], validity: stale });
    expect(sentence).toContain('track × 1.0139, left wheel × 0.9985');
    expect(freshness).toEqual(stale);
  });

  it('is that trials wait to be applied, where no calibration holds', async () => {
    const trial = { setAsideReason: null };
    const trials = [trial, trial, { setAsideReason: 'a wheel slipped' }];
    expect(await knownOf('straight', { trials })).toEqual({
      sentence: '2 drives made; nothing is applied yet.',
      freshness: { text: 'not applied', state: 'ageing' },
    });
    const drift = {
      kind: 'straight',
      scaleFactor: 0.98,
      scaleFactorSe: 0.001,
      coastM: 0.004,
      residualSdM: 0.003,
    };
    const held = await knownOf('straight', { trials, values: [drift as CalibrationValue] });
    expect(held.sentence).toMatch(/^Against the record: /);
  });

  it('is which way the record says that readings grow', async () => {
    const said = async (signs: Held['signs']) => (await knownOf('directions', { signs })).sentence;
    expect(await said({})).toMatch(/grows to the left, both motors count up/);
    expect(await said({ heading: -1, rightMotor: -1 })).toMatch(
      /grows to the right, the right motor counts down/,
    );
    expect(await said({ leftMotor: -1, rightMotor: -1 })).toMatch(
      /the left and the right motor count down/,
    );
  });

  it('says what a simulation rests on, and how many runs were recorded', async () => {
    expect((await knownOf('schools', {})).sentence).toMatch(/record alone/);
    const { sentence, freshness } = await knownOf('run-log', {
      runs: ['2026-11-10T10:00:00.000Z', '2026-11-01T10:00:00.000Z'],
    });
    expect(sentence).toBe('2 runs recorded.');
    expect(freshness).toEqual({ text: '15 days old', state: 'ageing' });
  });
});
