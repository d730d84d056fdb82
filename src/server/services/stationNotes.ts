import { knowledgeAge, type Freshness } from '../../core/freshness';
import type { Database } from '../database';
import { findTeam } from '../stores/teams';

const asDate = (value: unknown): Date | null =>
  value === null || value === undefined ? null : new Date(value as string);

/** What the page frame shows on every screen: the team, and how fresh each station's knowledge is. */
export interface Frame {
  team: string | null;
  notes: Record<'today' | 'robot' | 'bench' | 'course' | 'runs' | 'findings', Freshness>;
}

export async function frameData(db: Database): Promise<Frame> {
  const [team, robots, lastSaved, lastRun, lastCalibration, lastCheck] = await Promise.all([
    findTeam(db),
    db.models.robot.count(),
    db.models.routeVersion.max('savedAt'),
    db.models.run.max('happenedAt'),
    db.models.calibration.max('madeAt'),
    db.models.stillCheck.max('takenAt'),
  ]);
  const now = new Date();
  const route = knowledgeAge(asDate(lastSaved), now, 'no route yet');
  const bench = [lastCalibration, lastCheck].map(asDate).filter((date) => date !== null);
  const measured = bench.toSorted((a, b) => b.getTime() - a.getTime())[0] ?? null;
  const runs = knowledgeAge(asDate(lastRun), now, 'no runs yet');
  return {
    team: team?.name ?? null,
    notes: {
      today: { text: now.toISOString().slice(0, 10), state: 'fresh' },
      robot: { text: robots === 1 ? '1 robot' : `${robots} robots`, state: 'fresh' },
      bench: knowledgeAge(measured, now, 'nothing measured'),
      course: route,
      runs,
      findings: runs,
    },
  };
}
