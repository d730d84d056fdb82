import { radiansFromDegrees as deg } from '../../core/geometry/angle';
import { rangeStudy } from '../../core/ranging/rangeStudy';
import { randomStream } from '../../core/stats/random';
import { runBenchProgram } from '../../core/standIn/program';
import { drillTask } from '../../core/drill/registry';
import { lookingAhead } from '../../core/devices/ofRobot';
import type {
  DrillTrialRecord,
  GainTrialRecord,
  GaugeTrialRecord,
  RangeTrialRecord,
} from '../../formats/benchRecords';
import type { TeamDatabase } from '../database';
import { storeLog, saveLogPiece } from '../stores/benchLogs';
import { demoId } from './ids';
import { CONDITIONS, loadApplied, loadList, NOT_ASIDE, toHalfDegree, toMillimetre } from './list';
import { drifting, hiddenPipit } from './scenario';

const UNIT = { id: 'u4', label: 'D3' };
const TOLERANCE_M = 0.01;
const DISTANCES_M = [0.05, 0.1, 0.2, 0.3, 0.5, 0.8];
const SIX = [0, 1, 2, 3, 4, 5];

/** What the distance sensor says of a wall; now and then an echo is lost. */
function reading(trueM: number, i: number): RangeTrialRecord {
  const random = randomStream(83, i, 'demo-range');
  const {
    offsetM = 0,
    noiseM = 0.004,
    lostEchoShare = 0,
  } = lookingAhead(hiddenPipit)?.behaviour ?? {};
  const isLost = random.uniform() < lostEchoShare;
  return {
    id: demoId('DR', i + 1),
    unit: UNIT.label,
    trueM,
    readingM: isLost ? null : toMillimetre(trueM + offsetM + noiseM * random.normal()),
    readingV: null,
    turnedRad: 0,
    ...NOT_ASIDE,
  };
}

/** Lengths that two people read again and again; one of them looks askew. */
const LENGTHS: [string, number][] = [
  ['box to wall', 0.31],
  ['box to line', 0.52],
  ['box to edge', 0.745],
];
const READERS: [string, number][] = [
  ['Juniper', 0],
  ['Moss', 0.0015],
];
const TIMES = [0, 1, 2, 3];

const tapeReadings = (): GaugeTrialRecord[] =>
  LENGTHS.flatMap(([part, lengthM]) =>
    READERS.flatMap(([person, askewM]) => TIMES.map(() => ({ part, person, lengthM, askewM }))),
  ).map(({ part, person, lengthM, askewM }, i) => ({
    id: demoId('DG', i + 1),
    part,
    person,
    valueM: toMillimetre(lengthM + askewM + 0.0009 * randomStream(85, i, 'demo-gauge').normal()),
    ...NOT_ASIDE,
  }));

/** Gains of a held heading as they were typed, m/s per rad, and what was seen. */
const LOOKS: [number, GainTrialRecord['seen']][] = [
  [0.2, 'too slow'],
  [2.4, 'too jerky'],
  [0.7, 'good'],
  [1.2, 'good'],
  [0.9, 'good'],
];

const look = ([gain, seen]: (typeof LOOKS)[number], i: number): GainTrialRecord => ({
  id: demoId('DK', i + 1),
  controller: 'heading-hold',
  gain,
  seen,
  proposedGainFactor: null,
  speed: null,
  damping: null,
  ...NOT_ASIDE,
});

/** Traces that Tam judged; in every fifth a weak gain was taken for a good one, or the other way round. */
function judged(seed: number): DrillTrialRecord {
  const { cause, answers } = drillTask(seed);
  const other = answers.find(({ id }) => id !== cause.id)?.id ?? cause.id;
  return {
    id: demoId('DQ', seed),
    seed,
    cause: cause.id,
    answer: seed % 5 === 0 ? other : cause.id,
    answeredAt: `2026-11-${seed <= 8 ? '17' : '20'}T16:${String(10 + seed).padStart(2, '0')}:00.000Z`,
    ...NOT_ASIDE,
  };
}

/** A run on the day of the drift, in Corvat's units: the heading that was read, every other tick. */
async function loadRun(db: TeamDatabase, robotId: string): Promise<void> {
  const turn = {
    kind: 'turn',
    angleRad: deg(90),
    how: { school: 'stop-early', rateRadPerS: deg(90), leadRad: deg(5) },
  } as const;
  const on = { kind: 'straight', distanceM: 0.8, speedMPerS: 0.2, holdHeading: true } as const;
  const robot = drifting(hiddenPipit);
  const truth = runBenchProgram(robot, [on, turn, on, turn, on], 1600).filter(
    (_, i) => i % 2 === 0,
  );
  const driftRadPerS = deg(0.16);
  const last = truth.at(-1);
  const logId = demoId('GR', 1);
  const takenAt = '2026-11-21T09:46:00.000Z';
  const columns = {
    headingRad: truth.map(({ tS, pose }) =>
      Number((Math.round((pose.headingRad + driftRadPerS * tS) / deg(0.1)) * deg(0.1)).toFixed(6)),
    ),
  };
  const tS = truth.map((sample) => Number(sample.tS.toFixed(3)));
  await storeLog(db, {
    id: logId,
    robotId,
    name: 'warm-up run',
    source: 'stand-in',
    columns: ['headingRad'],
    pieces: 1,
    samples: tS.length,
    takenAt,
  });
  await saveLogPiece(db, logId, { number: 0, tS, columns });
  await loadList<'run-log'>(db, robotId, 12, takenAt, {
    procedure: 'run-log',
    conditions: { ...CONDITIONS, logId, name: 'warm-up run' },
    trials: [
      { id: demoId('GA', 1), tS: 0, headingRad: 0, what: 'start jig' },
      {
        id: demoId('GA', 2),
        tS: Number((last?.tS ?? 0).toFixed(2)),
        headingRad: toHalfDegree(last?.pose.headingRad ?? 0),
        what: 'protractor',
      },
    ],
  });
}

/** What else was done on the Bench: distances, a tape read twice, gains, a drill, a run that was corrected. */
export async function loadSensors(db: TeamDatabase, robotId: string): Promise<void> {
  const madeAt = '2026-11-19T14:40:00.000Z';
  const readings = DISTANCES_M.flatMap((distance) => SIX.map(() => distance)).map(reading);
  const trialsId = await loadList<'range'>(db, robotId, 8, madeAt, {
    procedure: 'range',
    conditions: {
      ...CONDITIONS,
      target: 'white board',
      batteryV: 8.1,
      toleranceM: TOLERANCE_M,
      shows: 'a length',
    },
    trials: readings,
  });
  await loadApplied(db, robotId, 3, {
    value: rangeStudy(readings, UNIT.label, TOLERANCE_M, [UNIT.label])?.value,
    trialsId,
    raw: readings,
    reason: 'D3 reads long',
    who: 'Moss',
    madeAt,
    changedAt: '2026-11-19T15:00:00.000Z',
    unitId: UNIT.id,
  });
  await loadList<'gauge'>(db, robotId, 9, '2026-11-19T14:20:00.000Z', {
    procedure: 'gauge',
    conditions: CONDITIONS,
    trials: tapeReadings(),
  });
  await loadList<'gains'>(db, robotId, 10, '2026-11-17T15:20:00.000Z', {
    procedure: 'gains',
    conditions: { ...CONDITIONS, controller: 'heading-hold', speeds: {} },
    trials: LOOKS.map(look),
  });
  await loadList<'drill'>(db, robotId, 11, '2026-11-17T16:11:00.000Z', {
    procedure: 'drill',
    conditions: { ...CONDITIONS, name: 'Tam' },
    trials: Array.from({ length: 14 }, (_, i) => judged(i + 1)),
  });
  await loadRun(db, robotId);
}
