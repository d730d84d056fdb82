import { allHeld } from '../../../formats/holding';
import { calibrationFromSquaring } from '../../../core/calibration/kinds/squaring/fromStudy';
import { foundInList } from '../waiting';
import { squaringStudy } from '../../../core/walls/squaringStudy';
import { heldOf, notApplied } from '../known';
import { emptyList } from '../trials/emptyList';
import { notAside, openedList, usedTrials } from '../trials/openedList';
import type { Procedure } from '../procedure';

export const squaring: Procedure = {
  id: 'squaring',
  title: 'Squaring on a wall',
  group: 'distance and touch',
  goodFor: 'how hard and how long to press, and what is left over',
  minutes: 8,
  gives: ['squaring'],
  known: async (facts) => {
    const held = await heldOf(facts, 'squaring');
    if (held !== null) return held;
    const { used } = usedTrials(await facts.trials('squaring'));
    return notApplied(squaringStudy(used));
  },
  found: async (facts) => {
    const holding = await facts.holding();
    const { robot: fitted } = facts.fitted(allHeld(holding).map(({ value }) => value));
    return foundInList(facts, 'squaring', ({ trials }) => {
      const used = notAside(trials);
      const study = squaringStudy(used);
      return { value: study && calibrationFromSquaring(study, fitted), raw: used };
    });
  },
  props: async (facts) => {
    const [list, holding] = await Promise.all([
      openedList(facts, 'squaring', emptyList('squaring')),
      facts.holding(),
    ]);
    const { robot: fitted } = facts.fitted(allHeld(holding).map(({ value }) => value));
    return { ...list, fitted };
  },
};
