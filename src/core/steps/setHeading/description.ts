import { description, number, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';

/** From now on the program takes the heading that it has for this one. */
export const SET_HEADING = description({
  kind: 'set-heading',
  label: 'Set heading',
  fields: {
    headingRad: number({
      label: 'Heading',
      about: 'on the table',
      quantity: 'heading',
      min: -20,
      max: 20,
      default: 0,
    }),
  },
  phrase: () => say`Take the heading here for ${'headingRad'}`,
});

export type SetHeadingStep = RecordOf<typeof SET_HEADING>;
