import type { Mission, Table } from '../table/table';
import type { Route } from '../course/route';
import { missionOfStep } from '../steps/descriptions';
import { inOrder } from '../steps/inOrder';
import { neededBy } from '../steps/neededBy';

/** How exactly a distance sensor has to read for a mission that is worked after it was used. */
export interface MissionTolerance {
  toleranceM: number;
  mission: string;
  route: string;
}

/** What a mission allows is not the sensor's alone: the stop, the heading and the placing use it up as well. */
const SENSORS_SHARE = 0.5;

interface RouteOnTable {
  name: string;
  route: Pick<Route, 'steps'>;
  table: Pick<Table, 'missions'>;
}

/** The missions that are worked after a step which goes by a distance, until another such step. */
function afterDistance({ route, table }: RouteOnTable): Mission[] {
  let byDistance = false;
  return inOrder(route.steps).flatMap(({ step }) => {
    if (neededBy(step).includes('distance sensor')) byDistance = true;
    const id = missionOfStep(step);
    return byDistance ? table.missions.filter((mission) => mission.id === id) : [];
  });
}

/**
 * The tolerance of a distance sensor by what a robot's routes do with it: half of the narrowest window, along the
 * way, of a mission that is worked after the sensor was used.
 *
 * @returns null where no route works a mission by a distance
 */
export function missionTolerance(routes: readonly RouteOnTable[]): MissionTolerance | null {
  const all = routes.flatMap((one) =>
    afterDistance(one).map((mission): MissionTolerance => ({
      toleranceM: SENSORS_SHARE * mission.window.alongM,
      mission: mission.name,
      route: one.name,
    })),
  );
  return all.toSorted((a, b) => a.toleranceM - b.toleranceM)[0] ?? null;
}
