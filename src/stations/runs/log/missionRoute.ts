import type { RouteRecord, RouteVersionRecord, SavedRouteVersion } from '../../../formats/records';
import { putRecord } from '../../api';

/** A table whose missions can be counted without a route. */
export interface MissionTable {
  courseId: string;
  name: string;
  missions: { id: string; name: string }[];
}

/** How such a choice is written among the versions of routes. */
const PREFIX = 'missions:';
export const missionChoice = ({ courseId }: MissionTable): string => `${PREFIX}${courseId}`;
export const chosenTable = (choice: string, tables: readonly MissionTable[]): MissionTable | null =>
  tables.find((table) => missionChoice(table) === choice) ?? null;

/**
 * Keeps a list of missions as a route without a way.
 *
 * @param ids made once by whoever asks, so that asking again keeps it once
 * @returns the id of its version
 */
export async function keepMissionRoute(
  ids: { route: string; version: string },
  { courseId, name }: MissionTable,
  robotId: string,
  chosen: readonly string[],
): Promise<string> {
  const route: RouteRecord = {
    id: ids.route,
    version: 0,
    courseId,
    robotId,
    name: `Missions of ${name}`.slice(0, 80),
    archivedAt: null,
  };
  await putRecord<RouteRecord>('routes', route);
  const record: RouteVersionRecord = {
    id: ids.version,
    routeId: ids.route,
    note: 'a list of missions, without a way',
    route: {
      start: { xM: 0, yM: 0, headingRad: 0 },
      placement: { alongSdM: 0, acrossSdM: 0, headingSdRad: 0 },
      steps: chosen.map((missionId, i) => ({
        id: `m${i + 1}`,
        kind: 'mark' as const,
        missionId,
        dwellS: 1,
      })),
      mounted: null,
      turnCalibrationId: null,
    },
  };
  return (await putRecord<SavedRouteVersion>('route-versions', record)).id;
}
