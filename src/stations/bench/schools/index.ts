import { allHeld } from '../../../formats/holding';
import { knowsSpins } from '../../../core/calibrationValues/turnStop';
import { dayOf } from '../../../ui/dates';
import type { Procedure } from '../procedure';

export const schools: Procedure = {
  id: 'schools',
  title: 'Ways to turn',
  group: 'control',
  goodFor: 'which way of turning suits this robot, by simulation',
  minutes: null,
  gives: [],
  goesByHeading: true,
  known: async (facts) => {
    const { turns } = await facts.holding();
    return {
      sentence:
        turns === undefined
          ? 'Simulated with the record alone: no turns have been measured.'
          : !knowsSpins(turns.value)
            ? 'Simulated with the record alone: only turns about one wheel have been measured.'
            : `Simulated by turns of ${dayOf(turns.madeAt)}.`,
      freshness: null,
    };
  },
  props: async (facts) => {
    const holding = await facts.holding();
    const current = holding.turns;
    const { robot: fitted } = facts.fitted(allHeld(holding).map(({ value }) => value));
    const turnsNote =
      current === undefined
        ? `Computed with the record of ${facts.robot.name} alone: turn trials count here once their commands are applied.`
        : !knowsSpins(current.value)
          ? `Only turns about one wheel were measured, and these are on the spot: computed with the record of ${facts.robot.name} alone.`
          : `Computed with the turn trials whose commands were applied on ${dayOf(current.madeAt)}; later trials count once they are applied.`;
    return { fitted, turnsNote };
  },
};
