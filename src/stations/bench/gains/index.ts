import { allHeld } from '../../../formats/holding';
import { CALIBRATION_KINDS } from '../../../core/calibration/registry';
import { foundInList } from '../waiting';
import { knowledgeAge } from '../../../core/text/freshness';
import { SHOWN } from '../../../core/control/tuned';
import { capitalised } from '../../../core/text/capitalised';
import type { Robot } from '../../../core/robot/robot';
import { heldOf } from '../known';
import { openedList, usedTrials } from '../trials/openedList';
import type { BenchFacts, Known, Procedure } from '../procedure';
import { judgedGains } from './judged';
import { newGainTrials } from './newTrials';

/** The robot as it was measured. */
const fittedOf = async (facts: BenchFacts): Promise<Robot> =>
  facts.fitted(allHeld(await facts.holding()).map(({ value }) => value)).robot;

const isByGains = ({ measuredBy }: (typeof CALIBRATION_KINDS)[number]): boolean =>
  measuredBy.procedure === 'gains';

/** Each gain that holds, where none is being tried, without what it was found under. */
async function heldGains(facts: BenchFacts): Promise<Known> {
  const held = await Promise.all(
    CALIBRATION_KINDS.filter(isByGains).map(({ kind, name }) =>
      heldOf(facts, kind, (said) => `${capitalised(name)}: ${said.split(',')[0]}`),
    ),
  );
  const known = held.flatMap((one) => one ?? []);
  return {
    sentence: known.length === 0 ? null : known.map(({ sentence }) => sentence).join(' '),
    freshness: known[0]?.freshness ?? null,
  };
}

export const gains: Procedure = {
  id: 'gains',
  title: 'Gains',
  group: 'control',
  goodFor: 'a controller that comes back at once and does not shake',
  minutes: 5,
  gives: CALIBRATION_KINDS.filter(isByGains).map(({ kind }) => kind),
  goesByHeading: true,
  known: async (facts) => {
    const { lists, open } = await facts.trials('gains');
    const { used, begunAt } = usedTrials({ lists, open });
    const last = used.at(-1);
    if (open === null || last === undefined) return heldGains(facts);
    const { controller } = last;
    const conditions = { ...open.conditions, controller };
    const { study } = judgedGains({ ...open, conditions }, facts.robot.robot);
    return {
      sentence: study && `${SHOWN[controller].title}: ${study.sentences.found}`,
      freshness: knowledgeAge(begunAt, facts.now, 'not measured'),
    };
  },
  found: async (facts) => {
    const fitted = await fittedOf(facts);
    return foundInList(facts, 'gains', (list) => {
      const { value, used } = judgedGains(list, fitted);
      return { value, raw: used };
    });
  },
  props: async (facts) => {
    const [list, fitted, routes] = await Promise.all([
      openedList(facts, 'gains', newGainTrials),
      fittedOf(facts),
      facts.routes(),
    ]);
    return { ...list, fitted, routes };
  },
};
