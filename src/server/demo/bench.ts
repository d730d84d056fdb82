import { calibrationFromTurns } from '../../core/calibration/kinds/turns/fromStudy';
import { radiansFromDegrees as deg, wrap } from '../../core/geometry/angle';
import type { Robot } from '../../core/robot/robot';
import { STILL_SETTINGS } from '../../core/gyro/still/stillDefaults';
import { randomStream } from '../../core/stats/random';
import { simulateStillHeading } from '../../core/simulate/stillLog';
import { runBenchProgram } from '../../core/standIn/program';
import type { BenchStep } from '../../core/standIn/steps/benchStep';
import { studyTurns, USUAL_ANGLES_RAD } from '../../core/turns/turnStudy';
import type { RezeroStrategy } from '../../core/robot/rezeroStrategies';
import type { LapRecord, StillCheckRecord, TurnTrialRecord } from '../../formats/benchRecords';
import type { TeamDatabase } from '../database';
import { storeLog, saveLogPiece } from '../stores/benchLogs';
import { saveRobotChange } from '../stores/robotChanges';
import { saveStillCheck } from '../stores/stillChecks';
import { loadDrives } from './drives';
import { demoId } from './ids';
import { LAST_LOADED } from './loaded';
import { CONDITIONS, loadApplied, loadList, NOT_ASIDE, toHalfDegree, toMillimetre } from './list';
import { loadPlacings } from './placings';
import { hiddenPipit } from './scenario';
import { loadArms } from './arms';
import { loadLights } from './lights';
import { loadPasses } from './passes';
import { loadSensors } from './sensors';

interface DemoCheck {
  at: string;
  driftDeg: number;
  powerUp: StillCheckRecord['powerUp'];
  school?: RezeroStrategy;
  after?: number;
}

/** The season's still checks: on two days the robot was carried while it started. */
const CHECKS: DemoCheck[] = [
  { at: '2026-10-31T09:40:00.000Z', driftDeg: 0.006, powerUp: 'lying still' },
  { at: '2026-11-05T16:10:00.000Z', driftDeg: 0.42, powerUp: 'in the hand' },
  {
    at: '2026-11-05T16:16:00.000Z',
    driftDeg: 0.39,
    powerUp: 'in the hand',
    school: 're-initialise',
    after: 1,
  },
  {
    at: '2026-11-05T16:21:00.000Z',
    driftDeg: -0.004,
    powerUp: 'lying still',
    school: 'restart',
    after: 2,
  },
  { at: '2026-11-07T13:55:00.000Z', driftDeg: 0.002, powerUp: 'lying still' },
  { at: '2026-11-12T15:05:00.000Z', driftDeg: -0.005, powerUp: 'lying still' },
  { at: '2026-11-14T13:58:00.000Z', driftDeg: 0.007, powerUp: 'lying still' },
  { at: '2026-11-21T09:41:00.000Z', driftDeg: 0.163, powerUp: 'in the hand' },
  {
    at: '2026-11-21T09:50:00.000Z',
    driftDeg: 0.003,
    powerUp: 'lying still',
    school: 'restart',
    after: 7,
  },
];

const rounded = (values: Float64Array, decimals: number) =>
  Array.from(values, (value) => Number(value.toFixed(decimals)));

async function loadChecks(db: TeamDatabase, robotId: string): Promise<void> {
  for (const [i, check] of CHECKS.entries()) {
    const { tS, headingRad } = simulateStillHeading(
      {
        driftRadPerS: deg(check.driftDeg),
        walkRadPerSqrtS: deg(0.008),
        quantumRad: deg(0.1),
        lengthS: 120,
        periodS: 0.02,
        jitterS: 0.001,
      },
      randomStream(4200, i, 'demo-still'),
    );
    const logId = demoId('G', i + 1);
    await storeLog(db, {
      id: logId,
      robotId,
      name: 'still check',
      source: 'stand-in',
      columns: ['headingRad'],
      pieces: 1,
      samples: tS.length,
      takenAt: check.at,
    });
    const columns = { headingRad: rounded(headingRad, 7) };
    await saveLogPiece(db, logId, { number: 0, tS: rounded(tS, 4), columns });
    await saveStillCheck(db, {
      id: demoId('K', i + 1),
      version: 0,
      robotId,
      logId,
      unitId: 'u3',
      takenAt: check.at,
      powerUp: check.powerUp,
      sincePowerUpS: null,
      displayStepRad: null,
      school: check.school ?? null,
      beforeId: check.after === undefined ? null : demoId('K', check.after + 1),
      runDurationS: 150,
      toleranceRad: deg(2),
      settings: STILL_SETTINGS,
      setAsideReason: null,
    });
  }
}

/** Told angle in degrees and rate, in the order in which they were tried. */
const TURNS: [number, number][] = [
  [90, 90],
  [-90, 90],
  [90, 90],
  [-90, 90],
  [180, 90],
  [-180, 90],
  [45, 90],
  [-45, 90],
  [90, 180],
  [-90, 180],
  [180, 180],
  [-180, 180],
  [45, 180],
  [-45, 180],
  [90, 180],
  [-90, 180],
];

/** Whose turns a list holds, and what it draws its chance by. */
export interface DemoTurns {
  truth: Robot;
  /** Before the ids of its trials, and behind which number its chance begins. */
  ids: string;
  seed: number;
}

function turnTrial(
  { truth, ids, seed }: DemoTurns,
  [angle, rate]: [number, number],
  i: number,
): TurnTrialRecord {
  const step: BenchStep = {
    kind: 'turn',
    angleRad: deg(angle),
    how: { school: 'stop-early', rateRadPerS: deg(rate), leadRad: 0 },
  };
  const samples = runBenchProgram(truth, [step], seed + i);
  const turned = samples.at(-1)?.pose.headingRad ?? 0;
  const read = turned + deg(0.4) * randomStream(77, seed - 900 + i, 'protractor').normal();
  return {
    id: demoId(ids, i + 1),
    targetRad: deg(angle),
    actualRad: toHalfDegree(read),
    seen: null,
    wantedRad: null,
    rateRadPerS: deg(rate),
    kind: 'spin',
    durationS: null,
    facedRad: null,
    place: '',
    afterDrive: null,
    times: 1,
    readingSdRad: null,
    readingRad: null,
    measuredBy: 'protractor',
    setAsideReason: null,
  };
}

/** Driven slowly, the wheels hardly slip. */
const slowPipit = {
  ...hiddenPipit,
  errors: { ...hiddenPipit.errors, slipMPerSqrtM: 0.0006 },
};

function lap(direction: LapRecord['direction'], i: number): LapRecord {
  const angleRad = deg(direction === 'ccw' ? 90 : -90);
  const steps = Array.from({ length: 4 }, (): BenchStep[] => [
    { kind: 'straight', distanceM: 1.2, speedMPerS: 0.25, holdHeading: false },
    { kind: 'turn', angleRad, how: { school: 'encoder', rateRadPerS: 0.7, endRateRadPerS: 0.03 } },
  ]).flat();
  const end = runBenchProgram(slowPipit, steps, 950 + i).at(-1)?.pose;
  return {
    id: demoId('Q', i + 1),
    direction,
    xM: toMillimetre(end?.xM ?? 0),
    yM: toMillimetre(end?.yM ?? 0),
    headingRad: toHalfDegree(wrap(end?.headingRad ?? 0)),
    goesOn: false,
    driven: null,
    ...NOT_ASIDE,
  };
}

/** Turns as they were tried, applied. */
export async function loadTurns(
  db: TeamDatabase,
  robotId: string,
  of: DemoTurns & { number: number; at: string; changedAt: string; reason: string },
): Promise<void> {
  const trials = TURNS.map((told, i) => turnTrial(of, told, i));
  const trialsId = await loadList<'turns'>(db, robotId, of.number, of.at, {
    procedure: 'turns',
    conditions: {
      ...CONDITIONS,
      driftRadPerS: 0,
      readingSdRad: deg(0.5),
      wantedRad: [...USUAL_ANGLES_RAD],
      stopMode: 'brake',
    },
    trials,
  });
  const measured = trials.flatMap(({ actualRad, durationS: _unknown, ...trial }) =>
    actualRad === null ? [] : [{ ...trial, actualRad }],
  );
  const study = studyTurns(measured, 0, USUAL_ANGLES_RAD, deg(0.5));
  await loadApplied(db, robotId, of.number, {
    value: calibrationFromTurns(study.model),
    trialsId,
    raw: trials,
    reason: of.reason,
    who: 'Juniper',
    madeAt: of.at,
    changedAt: of.changedAt,
  });
}

async function loadSquare(db: TeamDatabase, robotId: string): Promise<void> {
  const trials = (['cw', 'ccw', 'cw', 'ccw', 'cw', 'ccw', 'cw', 'ccw'] as const).map(lap);
  await loadList<'square'>(db, robotId, 2, '2026-11-19T16:30:00.000Z', {
    procedure: 'square',
    conditions: {
      ...CONDITIONS,
      who: 'Moss',
      sideM: 1.2,
      driven: 'encoders',
      corners: 'spin',
      lapS: null,
    },
    trials,
  });
}

/** What was done on the Bench during the season, simulated from the hidden truths. */
export async function loadBench(db: TeamDatabase, robotId: string): Promise<void> {
  await loadChecks(db, robotId);
  await loadTurns(db, robotId, {
    truth: hiddenPipit,
    ids: 'H',
    seed: 900,
    number: 1,
    at: '2026-11-12T15:40:00.000Z',
    changedAt: '2026-11-12T16:20:00.000Z',
    reason: 'Quarter turns came out as 96°',
  });
  await loadSquare(db, robotId);
  await loadPlacings(db, robotId);
  await loadDrives(db, robotId);
  await loadSensors(db, robotId);
  await loadLights(db, robotId);
  await loadArms(db, robotId);
  await loadPasses(db, robotId);
  // The last of all: by it the demo data are known to be whole.
  await saveRobotChange(db, {
    id: LAST_LOADED,
    robotId,
    part: 'battery',
    note: 'B3 is tired: kept for practice only',
    who: 'Tam',
    changedAt: '2026-11-14T16:00:00.000Z',
  });
}
