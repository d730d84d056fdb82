import { calibrationFromStops } from '../../../core/calibration/fromStops';
import { foundInList } from '../waiting';
import { calibrationOf } from '../../../core/calibration/find';
import { stopStudy } from '../../../core/ranging/stopStudy';
import { heldOf, notApplied } from '../known';
import { notAside, openedList, usedTrials } from '../openedList';
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
    const { used } = usedTrials(await facts.trials('stop'));
    return notApplied(stopStudy(used.filter(({ by }) => by === 'distance')));
  },
  found: (facts) =>
    foundInList(facts, 'stop', ({ trials }) => {
      const used = notAside(trials).filter(({ by }) => by === 'distance');
      const study = stopStudy(used);
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
