import { calibrationFromPlacing } from '../../../core/calibration/kinds/placing/fromStudy';
import { foundInList } from '../waiting';
import { lastGroup, placing as placings } from '../../../core/placing/placing';
import { placingSentences } from '../../../core/placing/placingStudy';
import type { PlacingTrials } from '../../../formats/benchRecords';
import { emptyList } from '../trials/emptyList';
import { heldOf, notApplied } from '../known';
import { notAside, openedList, usedTrials } from '../trials/openedList';
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
  gives: ['placing'],
  known: async (facts) => {
    const held = await heldOf(facts, 'placing');
    if (held !== null) return held;
    const lists = await facts.trials('placing');
    const conditions = lists.open?.conditions;
    if (conditions === undefined) return notApplied(null);
    const { used } = usedTrials(lists);
    const groups = placings(used, conditions, conditions.planned);
    const last = lastGroup(used, groups);
    return notApplied(
      last === null
        ? null
        : { sentences: placingSentences(last, groups, conditions.planned !== null) },
    );
  },
  found: (facts) =>
    foundInList(facts, 'placing', ({ trials, conditions }) => {
      const used = notAside(trials);
      const group = lastGroup(used, placings(used, conditions, conditions.planned));
      return {
        value: group && calibrationFromPlacing(group, conditions.planned !== null),
        raw: used.filter(({ person, way }) => person === group?.person && way === group.way),
      };
    }),
  props: (facts) => openedList(facts, 'placing', emptyPlacings(facts)),
};
