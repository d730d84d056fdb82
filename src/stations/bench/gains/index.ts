import { calibrationFromGain } from '../../../core/calibration/fromGain';
import { foundInList } from '../waiting';
import { knowledgeAge } from '../../../core/freshness';
import { SHOWN } from '../../../core/tuning/controllers/shown';
import { gainStudy } from '../../../core/tuning/gainStudy';
import { heldOf, NOTHING_KNOWN } from '../known';
import { notAside, openedList, usedTrials } from '../openedList';
import type { Procedure } from '../procedure';
import { newGainTrials } from './newTrials';

export const gains: Procedure = {
  id: 'gains',
  title: 'Gains',
  group: 'control',
  goodFor: 'a controller that comes back at once and does not shake',
  minutes: 5,
  gives: 'heading-hold',
  goesByHeading: true,
  known: async (facts) => {
    const { used, begunAt } = usedTrials(await facts.trials('gains'));
    const last = used.at(-1);
    if (last === undefined) return (await heldOf(facts, 'heading-hold')) ?? NOTHING_KNOWN;
    const { controller } = last;
    const study = gainStudy(
      controller,
      used.filter((one) => one.controller === controller),
    );
    return {
      sentence: study && `${SHOWN[controller].title}: ${study.sentences.found}`,
      freshness: knowledgeAge(begunAt, facts.now, 'not measured'),
    };
  },
  found: (facts) =>
    foundInList(facts, 'gains', ({ trials, conditions: { controller } }) => {
      const used = notAside(trials).filter((one) => one.controller === controller);
      const study = gainStudy(controller, used);
      return { value: study && calibrationFromGain(controller, study, used), raw: used };
    }),
  props: async (facts) => {
    const [list, holding, routes] = await Promise.all([
      openedList(facts, 'gains', newGainTrials),
      facts.holding(),
      facts.routes(),
    ]);
    const { robot: fitted } = facts.fitted(Object.values(holding).map(({ value }) => value));
    return { ...list, fitted, routes };
  },
};
