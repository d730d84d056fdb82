import type { BenchPage } from '../procedure';

export const calibrations: BenchPage = {
  id: 'calibrations',
  title: 'Calibrations',
  props: async (facts) => {
    const [{ calibrations: all, journal }, standing, routes] = await Promise.all([
      facts.calibrations(),
      facts.standing(),
      facts.routes(),
    ]);
    return { calibrations: all, journal, standing, routes };
  },
};
