import { calibrationFromStops } from '../../../core/calibration/kinds/stop/fromStudy';
import { foundInList } from '../waiting';
import { calibrationOf } from '../../../core/calibration/find';
import { stopStudy } from '../../../core/ranging/stopStudy';
import { heldOf, notApplied } from '../known';
import { notAside, openedList, usedTrials } from '../trials/openedList';
import type { Procedure } from '../procedure';
import { newStopTrials } from './newTrials';

export const stop: Procedure = {
  id: 'stop',
  title: 'Stopping',
  group: 'distance and touch',
  goodFor: 'when to tell it to stop, so that it stands where it should',
  minutes: 6,
  gives: ['stop'],
  known: async (facts) => {
    const held = await heldOf(facts, 'stop');
    if (held !== null) return held;
    const list = await facts.trials('stop');
    const { used } = usedTrials(list);
    const byDistance = used.filter(({ by }) => by === 'distance');
    return notApplied(stopStudy(byDistance, 'distance', list.open?.conditions.readToM));
  },
  found: (facts) =>
    foundInList(facts, 'stop', ({ trials, conditions }) => {
      const used = notAside(trials).filter(({ by }) => by === 'distance');
      const study = stopStudy(used, 'distance', conditions.readToM);
      return { value: study && calibrationFromStops(study.model, used), raw: used };
    }),
  props: async (facts) => {
    const [list, { range }] = await Promise.all([
      openedList(facts, 'stop', newStopTrials),
      facts.holding(),
    ]);
    return {
      ...list,
      measured: range === undefined ? null : calibrationOf([range.value], 'range'),
    };
  },
};
