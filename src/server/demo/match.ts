import { emptyMatch, type Launch } from '../../core/match/match';
import type { TeamDatabase } from '../database';
import { saveMatch } from '../stores/matches';
import { demoId } from './ids';

/** What is mounted for each launch, what it took to have the robot ready, and what happens when it fails. */
const LAUNCHES: Omit<Launch, 'id' | 'routeId'>[] = [
  { mounted: '', whenFailed: 'again', changeOversS: [] },
  {
    mounted: '',
    whenFailed: 'next',
    changeOversS: [9.4, 11.2, 8.7, 10.1, 14.6, 9.9],
  },
  { mounted: 'Wren, its arm folded back', whenFailed: 'next', changeOversS: [6.8, 7.5] },
];

/** The team's match: three launches. */
export async function loadMatch(
  db: TeamDatabase,
  courseId: string,
  routeIds: readonly string[],
): Promise<void> {
  const launches = routeIds.flatMap((routeId, i): Launch[] => {
    const launch = LAUNCHES[i];
    return launch === undefined ? [] : [{ ...launch, id: demoId('L', i + 1), routeId }];
  });
  await saveMatch(db, {
    id: courseId,
    version: 0,
    match: { ...emptyMatch(), clockS: 95, launches },
  });
}
