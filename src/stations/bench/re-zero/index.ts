import { strategyRecords } from '../../../core/gyro/rezero';
import { counted } from '../../../core/text/quantities';
import { strategyTrials } from './trials';
import type { Procedure } from '../procedure';

export const reZero: Procedure = {
  id: 're-zero',
  title: 'Get rid of drift',
  group: 'heading',
  goodFor: 'which way of starting the sensor anew works in your hands',
  minutes: 5,
  gives: [],
  known: async (facts) => {
    const records = strategyRecords(strategyTrials(await facts.stillChecks()), facts.robot.robot);
    const [best] = records
      .filter(({ tried }) => tried > 0)
      .toSorted((a, b) => (b.success?.rate ?? 0) - (a.success?.rate ?? 0));
    if (best === undefined) return { sentence: null, freshness: null };
    return {
      sentence: `${best.facts.title}: helped ${best.worked} of ${counted(best.tried, 'time')}.`,
      freshness: null,
    };
  },
  props: async (facts) => ({ checks: await facts.stillChecks() }),
};
