import type { RobotRecord } from '../../formats/records';
import type { Database } from '../database';
import { listRobots } from '../stores/robots';
import { frameData, type Frame } from './stationNotes';

/** What every page of the Bench needs: the frame, the robots, and the one that is worked on. */
export async function benchContext(
  db: Database,
  wished: string | null,
): Promise<{ frame: Frame; robots: RobotRecord[]; robot: RobotRecord | undefined }> {
  const [frame, robots] = await Promise.all([frameData(db), listRobots(db)]);
  return { frame, robots, robot: robots.find(({ id }) => id === wished) ?? robots[0] };
}
