import { dayIn } from '../../core/text/dates';
import { teamZone } from '../../core/text/displaySettings';
import { knowledgeAge, type Freshness } from '../../core/text/freshness';
import type { TeamDatabase } from '../database';
import { listRobots } from '../stores/robots';
import { roomNotice } from '../room';
import { validityOf } from './validity';

const asDate = (value: unknown): Date | null =>
  value === null || value === undefined ? null : new Date(value as string);

/** What the page frame shows on every screen: the team, and how fresh each station's knowledge is. */
export interface Frame {
  team: string | null;
  /** What is to be known of the disk, if anything. */
  room: string | null;
  /** What the Bench knows of the first robot. */
  bench: { robotName: string; turns: Freshness; lastCheck: Date | null } | null;
  notes: Record<'today' | 'robot' | 'bench' | 'course' | 'runs' | 'findings', Freshness>;
}

/** What the Bench says of its knowledge: the first robot's turns, or else what was measured last. */
async function benchNote(db: TeamDatabase): Promise<{ note: Freshness; bench: Frame['bench'] }> {
  const [lastTaken, robots] = await Promise.all([
    db.models.stillCheck.max('takenAt'),
    listRobots(db),
  ]);
  const lastCheck = asDate(lastTaken);
  const [first] = robots;
  const checked = knowledgeAge(lastCheck, new Date(), 'nothing measured');
  if (first === undefined) return { note: checked, bench: null };
  const { turns } = await validityOf(db, first);
  const isMeasured = turns.text !== 'not measured';
  return {
    note: isMeasured ? { ...turns, text: `turns: ${turns.text}` } : checked,
    bench: { robotName: first.name, turns, lastCheck },
  };
}

export async function frameData({ db, team }: App.Locals): Promise<Frame> {
  const [robots, lastSaved, lastRun, { note, bench }] = await Promise.all([
    db.models.robot.count(),
    db.models.routeVersion.max('savedAt'),
    db.models.run.max('happenedAt'),
    benchNote(db),
  ]);
  const now = new Date();
  const route = knowledgeAge(asDate(lastSaved), now, 'no route yet');
  const runs = knowledgeAge(asDate(lastRun), now, 'no runs yet');
  return {
    team: team?.name ?? null,
    room: roomNotice(process.env.CORVAT_HOME),
    bench,
    notes: {
      today: { text: dayIn(now, teamZone()), state: 'fresh' },
      robot: { text: robots === 1 ? '1 robot' : `${robots} robots`, state: 'fresh' },
      bench: note,
      course: route,
      runs,
      findings: runs,
    },
  };
}
