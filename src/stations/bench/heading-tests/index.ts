import { calibrationOf } from '../../../core/calibration/find';
import { heldOf, NOTHING_KNOWN } from '../known';
import type { Procedure } from '../procedure';

export const headingTests: Procedure = {
  id: 'heading-tests',
  title: 'Test the heading',
  group: 'as it is built',
  goodFor: 'which angle is the heading, whether a start zeroes it, whether motors disturb it',
  minutes: 2,
  gives: ['heading-tests'],
  known: async (facts) => (await heldOf(facts, 'heading-tests')) ?? NOTHING_KNOWN,
  props: async (facts) => {
    const held = (await facts.holding())['heading-tests'];
    return { held: held === undefined ? null : calibrationOf([held.value], 'heading-tests') };
  },
};
