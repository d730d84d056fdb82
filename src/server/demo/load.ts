import { teamSettings } from '../../formats/teamSettings';
import type { Database, TeamDatabase } from '../database';
import { storesOf } from '../storesOf';
import { saveRobot } from '../stores/robots';
import { startPlan } from '../stores/runPlans';
import { saveSeries } from '../stores/series';
import { setUpTeam } from '../stores/teams';
import { saveRoute, saveVersion } from '../stores/routes';
import { loadBench } from './bench';
import { EARLIER, PLANS } from './earlier';
import { loadRuns, seriesRecordOf } from './loadRuns';
import { demoId } from './ids';
import { loadMatch } from './match';
import {
  pipit,
  POND_ROUTE,
  ROUTE_VERSIONS,
  SERIES,
  winterGarden,
  type DemoSeries,
} from './scenario';
import { loadWren } from './loadWren';
import { wren } from './wren';

const teamId = demoId('T', 1);
const courseId = demoId('C', 1);
const robotId = demoId('B', 1);
const wrenId = demoId('B', 2);
const routeId = demoId('W', 1);
const pondRouteId = demoId('W', 2);

async function loadRoutes(db: TeamDatabase): Promise<void> {
  const savedAt = [
    '2026-09-12T09:00:00.000Z',
    '2026-11-07T13:40:00.000Z',
    '2026-11-14T13:50:00.000Z',
  ];
  for (const [i, { note, route }] of ROUTE_VERSIONS.entries()) {
    const id = demoId('V', i + 1);
    await saveVersion(db, { id, routeId, note, route });
    await db.models.routeVersion.update({ savedAt: savedAt[i] }, { where: { id } });
  }
  await saveRoute(db, {
    id: pondRouteId,
    version: 0,
    courseId,
    robotId,
    name: 'Pond and back',
    archivedAt: null,
  });
  const pond = { id: demoId('V', 9), routeId: pondRouteId, note: 'As planned on paper' };
  await saveVersion(db, { ...pond, route: POND_ROUTE });
  const pondAt = '2026-11-19T17:30:00.000Z';
  await db.models.routeVersion.update({ savedAt: pondAt }, { where: { id: pond.id } });
}

async function loadOne(db: TeamDatabase, series: DemoSeries, number: number): Promise<void> {
  const version = ROUTE_VERSIONS[series.version - 1];
  if (version !== undefined) await loadRuns(db, series, version, number);
}

/** In the order of their days, by which they are listed: Wren drove before the last of them. */
async function loadSeries(db: TeamDatabase): Promise<void> {
  for (const series of EARLIER) {
    const plan = PLANS.find(({ plan: { id } }) => id === series.planId)?.plan;
    const record = seriesRecordOf(series, series.number);
    if (plan === undefined) await saveSeries(db, record);
    else if (plan.seriesIds[0] === record.id) {
      const ways = EARLIER.filter(({ planId }) => planId === plan.id);
      await startPlan(db, { plan, series: ways.map((way) => seriesRecordOf(way, way.number)) });
    }
    await loadOne(db, series, series.number);
  }
  for (const [i, series] of SERIES.entries()) {
    if (i === SERIES.length - 1) await loadWren(db, wrenId, courseId);
    await saveSeries(db, seriesRecordOf(series, i + 1));
    await loadOne(db, series, i + 1);
  }
}

/** Load the demo scenario; one that was cut off half-way is finished: the same saves are the same. */
export async function loadDemo(all: Database): Promise<void> {
  const db = storesOf(all, teamId);
  const version = 0;
  const archivedAt = null;
  await setUpTeam(all, {
    team: { id: teamId, version, name: 'Quillon Yard', settings: teamSettings.parse({}) },
    robot: { id: robotId, version, teamId, name: 'Pipit', robot: pipit, archivedAt },
    course: {
      id: courseId,
      version,
      teamId,
      name: 'Winter Garden',
      table: winterGarden,
      archivedAt,
    },
    route: { id: routeId, version, courseId, robotId, name: 'Round by the barrel', archivedAt },
  });
  await saveRobot(db, {
    id: wrenId,
    version,
    teamId,
    name: 'Wren',
    robot: wren,
    archivedAt,
  });
  await loadRoutes(db);
  await loadSeries(db);
  await loadBench(db, robotId);
  await loadMatch(db, courseId, [pondRouteId, routeId, demoId('W', 3)]);
}
