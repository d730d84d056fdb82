import type { BenchPage, Procedure } from '../procedure';
import { waitingOf } from '../waiting';

/** What a robot is computed with, and what was measured and is not yet. */
export const calibrations = (procedures: readonly Procedure[]): BenchPage => ({
  id: 'calibrations',
  title: 'Calibrations',
  props: async (facts) => {
    const [{ calibrations: all, journal }, validity, routes, waiting] = await Promise.all([
      facts.calibrations(),
      facts.validity(),
      facts.routes(),
      waitingOf(facts, procedures),
    ]);
    return { calibrations: all, journal, validity, routes, waiting };
  },
});
