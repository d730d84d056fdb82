import type { BenchPage } from '../procedure';

export const calibrations: BenchPage = {
  id: 'calibrations',
  title: 'Calibrations',
  props: async (facts) => {
    const [{ calibrations: all, journal }, validity, routes] = await Promise.all([
      facts.calibrations(),
      facts.validity(),
      facts.routes(),
    ]);
    return { calibrations: all, journal, validity, routes };
  },
};
