import { movesStudy } from '../../core/attachments/movesStudy';
import { calibrationFromMoves } from '../../core/calibration/kinds/attachment/fromStudy';
import { buildingSheet } from '../../core/building/sheet';
import type { TeamDatabase } from '../database';
import { courseCalibrations } from '../services/courseCalibrations';
import { findRobot } from '../stores/robots';
import { saveTypedProgram } from '../stores/typedPrograms';
import { winterGarden } from './scenario';
import { saveRoute, saveVersion } from '../stores/routes';
import { saveSeries } from '../stores/series';
import { loadArm, TOLD } from './arms';
import { loadTurns } from './bench';
import { loadStraights } from './drives';
import { demoId } from './ids';
import { LINE_SERIES, LINE_VERSION } from './lineRoute';
import { loadVenue } from './lights';
import { loadApplied } from './list';
import { loadRuns, seriesRecordOf } from './loadRuns';
import { ARM_AT, hiddenWren } from './wren';

async function loadArmOf(db: TeamDatabase, robotId: string): Promise<void> {
  const at = '2026-11-16T16:20:00.000Z';
  const { trialsId, trials } = await loadArm(db, robotId, {
    ids: 'WM',
    seed: 98,
    positions: ARM_AT,
    playDeg: 1,
    list: 33,
    at,
    startsAt: 'folded back',
  });
  const study = movesStudy(trials, TOLD);
  await loadApplied(db, robotId, 33, {
    value: study && calibrationFromMoves(study.found, TOLD),
    trialsId,
    raw: trials,
    reason: 'the sundial was not turned far enough',
    who: 'Tam',
    madeAt: at,
    changedAt: '2026-11-16T16:35:00.000Z',
    unitId: 'w6',
  });
}

/** What was measured on Wren before it drove its route. */
async function loadBenchOf(db: TeamDatabase, robotId: string): Promise<void> {
  await loadTurns(db, robotId, {
    truth: hiddenWren,
    ids: 'WH',
    seed: 1000,
    number: 31,
    at: '2026-11-16T15:10:00.000Z',
    changedAt: '2026-11-16T15:30:00.000Z',
    reason: 'Its turns go too far',
  });
  await loadStraights(db, robotId, {
    truth: hiddenWren,
    ids: 'WS',
    seed: 1700,
    list: 32,
    number: 32,
    at: '2026-11-16T15:40:00.000Z',
    changedAt: '2026-11-16T15:55:00.000Z',
    reason: 'It drives a little further than it is told',
  });
  await loadArmOf(db, robotId);
  const venue = { venue: 'home table', lighting: 'desk lamp', who: 'Moss', day: '2026-11-16' };
  const places = [1, 2, 3, 4];
  await loadVenue(db, robotId, 34, {
    ...venue,
    unit: { id: 'w4', label: 'L2' },
    heightM: 0.01,
    seed: 81,
    places: places.map((place) => ({ line: 9 + (place % 3), floor: 56 + (place % 2) })),
  });
  await loadVenue(db, robotId, 35, {
    ...venue,
    unit: { id: 'w5', label: 'L3' },
    heightM: 0.01,
    seed: 82,
    places: places.map((place) => ({ line: 13 + (place % 3), floor: 62 + (place % 2) })),
  });
}

/** Its sheet was typed in before its first run. */
async function loadTyped(
  db: TeamDatabase,
  robotId: string,
  routeId: string,
  routeVersionId: string,
): Promise<void> {
  const recorded = await findRobot(db, robotId);
  if (recorded === null) throw new Error('The demo has no Wren.');
  const { robot } = await courseCalibrations(db, recorded);
  await saveTypedProgram(db, {
    id: demoId('TP', 1),
    routeId,
    routeVersionId,
    robotId,
    sheet: buildingSheet(LINE_VERSION.route, robot.robot, winterGarden),
    typedAt: '2026-11-17T16:25:00.000Z',
  });
}

/** Wren: what the Bench knows of it, its route along the guide lines, and thirty runs of it. */
export async function loadWren(db: TeamDatabase, robotId: string, courseId: string): Promise<void> {
  await loadBenchOf(db, robotId);
  const [routeId, id] = [demoId('W', 3), demoId('V', LINE_SERIES.version)];
  const { note, route } = LINE_VERSION;
  await saveRoute(db, {
    id: routeId,
    version: 0,
    courseId,
    robotId,
    name: 'Along the guide lines',
    archivedAt: null,
  });
  await saveVersion(db, { id, routeId, note, route });
  const savedAt = '2026-11-17T16:20:00.000Z';
  await db.models.routeVersion.update({ savedAt }, { where: { id } });
  await loadTyped(db, robotId, routeId, id);
  await saveSeries(db, seriesRecordOf(LINE_SERIES, LINE_SERIES.number));
  await loadRuns(db, LINE_SERIES, LINE_VERSION, LINE_SERIES.number);
}
