import { dayOf } from '../../../ui/dates';
import { knowledgeAge } from '../../../core/text/freshness';
import { counted } from '../../../core/text/quantities';
import type { Procedure } from '../procedure';

export const runLog: Procedure = {
  id: 'run-log',
  title: 'Correct a run',
  group: 'heading',
  goodFor: 'how the heading drifted during one run, and what else its log holds',
  minutes: 5,
  gives: [],
  known: async (facts) => {
    const { lists } = await facts.trials('run-log');
    const used = lists.filter(({ archivedAt }) => archivedAt === null);
    const [newest] = used;
    return newest === undefined
      ? { sentence: null, freshness: null }
      : {
          sentence: `${counted(used.length, 'run')} recorded.`,
          freshness: knowledgeAge(new Date(newest.startedAt), facts.now, 'never'),
        };
  },
  props: async (facts) => {
    const [{ lists, open }, checks] = await Promise.all([
      facts.trials('run-log'),
      facts.stillChecks(),
    ]);
    // A run is fetched when somebody opens it, not because it is the newest.
    const isWished = open !== null && open.id === facts.wishes.get('list');
    const check = checks.find(({ setAsideReason }) => setAsideReason === null);
    const known =
      check === undefined
        ? null
        : { driftRadPerS: check.result.driftRadPerS, day: dayOf(check.takenAt) };
    return { runs: { lists, open: isWished ? open : null }, known };
  },
};
