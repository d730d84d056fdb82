import { placing as placings } from '../../../core/placing/placing';
import { placingSentences } from '../../../core/placing/placingStudy';
import type { PlacingTrials } from '../../../formats/benchRecords';
import { emptyList } from '../emptyList';
import { heldOf, notApplied } from '../known';
import { openedList, usedTrials } from '../openedList';
import type { BenchFacts, Procedure } from '../procedure';

/** A list that was not begun yet: the marks are its bumpers, until somebody says otherwise. */
function emptyPlacings({ robot }: BenchFacts) {
  const { frontM, rearM } = robot.robot.body;
  return (id: string, robotId: string): PlacingTrials => {
    const list = emptyList('placing')(id, robotId);
    return {
      ...list,
      conditions: {
        ...list.conditions,
        noseToTailM: frontM + rearM,
        noseToAxleM: frontM,
        planned: null,
      },
    };
  };
}

export const placing: Procedure = {
  id: 'placing',
  title: 'Placing at the start',
  group: 'as it is built',
  goodFor: 'how exactly whoever places it does so, and where the jig truly aims',
  minutes: 6,
  gives: 'placing',
  known: async (facts) => {
    const held = await heldOf(facts, 'placing');
    if (held !== null) return held;
    const lists = await facts.trials('placing');
    const conditions = lists.open?.conditions;
    if (conditions === undefined) return notApplied(null);
    const groups = placings(usedTrials(lists).used, conditions, conditions.planned);
    const last = groups.at(-1);
    return notApplied(
      last === undefined
        ? null
        : { sentences: placingSentences(last, groups, conditions.planned !== null) },
    );
  },
  props: (facts) => openedList(facts, 'placing', emptyPlacings(facts)),
};
