import { rest } from '../../control/rest';
import { radiansFromDegrees, wrap } from '../../geometry/angle';
import type { StepKind } from '../kind';
import type { SetHeadingStep } from './description';

/** A plan that looks elsewhere by more than this means another heading. */
const SAME_RAD = radiansFromDegrees(0.5);

export const setHeading: StepKind<SetHeadingStep> = {
  needs: () => ['heading sensor'],
  group: 'work',
  isOffered: () => true,
  asAdded: ({ headingRad }) => ({ kind: 'set-heading', headingRad: wrap(headingRad) }),
  plan: ({ headingRad }, from) => ({
    to: from,
    distanceM: 0,
    angleRad: 0,
    durationS: 0,
    timeoutS: 1,
    problems: Math.abs(wrap(headingRad - from.headingRad)) > SAME_RAD ? ['heading-not-here'] : [],
  }),
  control: () => rest(0),
  drives: false,
  takesHeading: ({ headingRad }) => ({ shareLeft: 0, sdRad: 0, headingRad }),
  inProgram: { leaves: () => [] },
};
