import { radiansFromDegrees as deg } from '../../core/geometry/angle';
import { calibrationFromStops } from '../../core/calibration/kinds/stop/fromStudy';
import { straightStudy } from '../../core/drive/straightStudy';
import { stopModel } from '../../core/ranging/stopModel';
import { onBattery } from '../../core/program/byPower';
import type { Robot } from '../../core/robot/robot';
import { randomStream } from '../../core/stats/random';
import { runBenchProgram } from '../../core/standIn/program';
import { lookingAhead } from '../../core/devices/ofRobot';
import { standInTruth } from '../../core/standIn/truth';
import type {
  SpeedTrialRecord,
  SquaringTrialRecord,
  StopTrialRecord,
  StraightTrialRecord,
} from '../../formats/benchRecords';
import type { TeamDatabase } from '../database';
import { demoId } from './ids';
import { CONDITIONS, loadApplied, loadList, NOT_ASIDE, toHalfDegree, toMillimetre } from './list';
import { hiddenPipit } from './scenario';

/** How its motors take power and how a wall straightens it, in nobody's notebook either. */
const powered: Robot = {
  ...hiddenPipit,
  measured: { ...hiddenPipit.measured, ...standInTruth(hiddenPipit, 4711).robot.measured },
};

const SPEED = 0.3;
const THRICE = [0, 1, 2];

/** Whose drives a list holds, the beginning of its ids, and what it draws its chance by. */
interface DemoDrives {
  truth: Robot;
  ids: string;
  seed: number;
}

function straightTrial(
  { truth, ids, seed }: DemoDrives,
  commandedM: number,
  i: number,
): StraightTrialRecord {
  const step = {
    kind: 'straight',
    distanceM: commandedM,
    speedMPerS: SPEED,
    holdHeading: true,
  } as const;
  const end = runBenchProgram(truth, [step], seed + i).at(-1)?.pose;
  return {
    id: demoId(ids, i + 1),
    commandedM,
    actualM: toMillimetre(end?.xM ?? 0),
    sidewaysM: toMillimetre(end?.yM ?? 0),
    headingChangeRad: null,
    keptBy: 'heading',
    speedMPerS: SPEED,
    afterReversal: false,
    remark: null,
    ...NOT_ASIDE,
  };
}

/** Shares of power, and how much more than the usual eight volts the battery had. */
const POWERS: [number, number][] = [
  [0.05, 0.2],
  [0.2, 0.2],
  [0.2, -0.5],
  [0.4, 0.2],
  [0.4, -0.5],
  [0.6, 0.2],
  [0.6, -0.5],
  [0.9, 0.1],
  [0.9, -0.6],
];
const TIMED_S = 2;

function speedTrial([command, moreV]: [number, number], i: number): SpeedTrialRecord {
  const robot = onBattery(powered, moreV);
  const step = { kind: 'power', share: command, durationS: TIMED_S } as const;
  const xM = runBenchProgram(robot, [step], 1300 + i).at(-1)?.pose.xM ?? 0;
  return {
    id: demoId('DT', i + 1),
    command,
    batteryV: Math.round(10 * (robot.measured.power?.nowV ?? 8)) / 10,
    distanceM: Math.max(0, Math.round(200 * xM) / 200),
    timeS: TIMED_S,
    ...NOT_ASIDE,
  };
}

/** Power, seconds, and how far off the wall it stood, degrees. */
const PRESSES: [number, number, number][] = [
  [0.3, 0.3, 8],
  [0.3, 0.6, -9],
  [0.3, 1, 10],
  [0.5, 0.3, -8],
  [0.5, 0.6, 9],
  [0.5, 1, -10],
  [0.3, 0.6, 7],
  [0.5, 0.6, -7],
];

function press(
  [power, timeS, beforeDeg]: [number, number, number],
  i: number,
): SquaringTrialRecord {
  const beforeRad = deg(beforeDeg);
  const step = { kind: 'press', share: power, durationS: timeS, beforeRad } as const;
  const turned = runBenchProgram(powered, [step], 1400 + i).at(-1)?.pose.headingRad ?? 0;
  const seen = deg(0.3) * randomStream(81, i, 'demo-press').normal();
  return {
    id: demoId('DW', i + 1),
    power,
    timeS,
    beforeRad,
    afterRad: toHalfDegree(beforeRad + turned + seen),
    ...NOT_ASIDE,
  };
}

const WALL_M = 0.6;
const GAP_M = 0.12;
const SPEEDS = [0.1, 0.2, 0.3];

function stop(speedMPerS: number, i: number): StopTrialRecord {
  // Told as the sensor reads that gap, which was found an hour before: it sits behind the bumper, and reads long.
  const { frontM } = hiddenPipit.body;
  const sensor = lookingAhead(hiddenPipit);
  const behindM = frontM - (sensor?.place.aheadM ?? frontM);
  const thresholdM = GAP_M + behindM + (sensor?.behaviour.offsetM ?? 0);
  const step = { kind: 'approach', thresholdM, speedMPerS, wallM: GAP_M + WALL_M } as const;
  const wall = GAP_M + WALL_M;
  const about = {
    walls: [{ x1M: frontM + wall, y1M: -1, x2M: frontM + wall, y2M: 1 }],
    lines: [],
  };
  const xM = runBenchProgram(hiddenPipit, [step], 1500 + i, about).at(-1)?.pose.xM ?? 0;
  return {
    id: demoId('DE', i + 1),
    by: 'distance',
    speedMPerS,
    thresholdM: GAP_M,
    stopM: toMillimetre(wall - xM),
    ...NOT_ASIDE,
  };
}

/** Drives on a tape, applied. */
export async function loadStraights(
  db: TeamDatabase,
  robotId: string,
  of: DemoDrives & { list: number; number: number; at: string; changedAt: string; reason: string },
): Promise<void> {
  const distances = [0.4, 0.8, 1.4].flatMap((told) => THRICE.map(() => told));
  const drives = distances.map((told, i) => straightTrial(of, told, i));
  const trialsId = await loadList<'straight'>(db, robotId, of.list, of.at, {
    procedure: 'straight',
    conditions: { ...CONDITIONS, keep: 'heading' },
    trials: drives,
  });
  await loadApplied(db, robotId, of.number, {
    value: straightStudy(drives.map((one) => ({ ...one, keptBy: 'heading' as const })))?.value,
    trialsId,
    raw: drives,
    reason: of.reason,
    who: 'Juniper',
    madeAt: of.at,
    changedAt: of.changedAt,
  });
}

/** Drives on a tape, timed drives, presses against a wall, stops before one; of the timed drives and presses nobody has applied anything yet. */
export async function loadDrives(db: TeamDatabase, robotId: string): Promise<void> {
  await loadStraights(db, robotId, {
    truth: hiddenPipit,
    ids: 'DS',
    seed: 1200,
    list: 4,
    number: 2,
    at: '2026-11-19T15:10:00.000Z',
    changedAt: '2026-11-19T15:35:00.000Z',
    reason: 'It falls short of every mark',
  });
  await loadList<'speed'>(db, robotId, 5, '2026-11-18T15:30:00.000Z', {
    procedure: 'speed',
    conditions: { ...CONDITIONS, who: 'Tam' },
    trials: POWERS.map(speedTrial),
  });
  await loadList<'squaring'>(db, robotId, 6, '2026-11-18T16:10:00.000Z', {
    procedure: 'squaring',
    conditions: { ...CONDITIONS, who: 'Moss' },
    trials: PRESSES.map(press),
  });
  const stops = SPEEDS.flatMap((speed) => [...THRICE, 3].map(() => speed)).map(stop);
  const stoppedAt = '2026-11-19T15:50:00.000Z';
  const stopsId = await loadList<'stop'>(db, robotId, 7, stoppedAt, {
    procedure: 'stop',
    conditions: {
      ...CONDITIONS,
      wantedM: GAP_M,
      speedMPerS: 0.2,
      confirmations: 2,
      startGapM: WALL_M,
      samplePeriodS: 0.02,
      timeAtHandS: 3,
      by: 'distance',
    },
    trials: stops,
  });
  const model = stopModel(stops);
  await loadApplied(db, robotId, 4, {
    value: model && calibrationFromStops(model, stops),
    trialsId: stopsId,
    raw: stops,
    reason: 'It drives on after its threshold',
    who: 'Juniper',
    madeAt: stoppedAt,
    changedAt: '2026-11-19T16:15:00.000Z',
  });
}
