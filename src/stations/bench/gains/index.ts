import { ulid } from 'ulid';
import { knowledgeAge } from '../../../core/freshness';
import { SHOWN } from '../../../core/tuning/controllers/shown';
import { gainStudy } from '../../../core/tuning/gainStudy';
import type { Procedure } from '../procedure';
import { newGainTrials } from './newTrials';

export const gains: Procedure = {
  id: 'gains',
  title: 'Gains',
  group: 'control',
  goodFor: 'a controller that comes back at once and does not shake',
  minutes: 5,
  gives: null,
  known: async (facts) => {
    const { open, lists } = await facts.trials('gains');
    const used = open?.trials.filter(({ setAsideReason }) => setAsideReason === null) ?? [];
    const last = used.at(-1);
    const begun = lists.find(({ id }) => id === open?.id)?.startedAt;
    if (last === undefined || begun === undefined) return { sentence: null, freshness: null };
    const { controller } = last;
    const study = gainStudy(
      controller,
      used.filter((one) => one.controller === controller),
    );
    return {
      sentence: study && `${SHOWN[controller].title}: ${study.sentences.found}`,
      freshness: knowledgeAge(new Date(begun), facts.now, 'not measured'),
    };
  },
  props: async (facts) => {
    const [{ lists, open }, holding] = await Promise.all([facts.trials('gains'), facts.holding()]);
    const { robot: fitted } = facts.fitted(Object.values(holding).map(({ value }) => value));
    const trials =
      open === null || facts.wishes.has('new') ? newGainTrials(ulid(), facts.robot.id) : open;
    return { lists, fitted, trials };
  },
};
