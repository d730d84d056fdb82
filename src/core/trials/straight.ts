import { lengthM, speedMPerS } from '../description/values';
import { choice, flag, number, orNothing, text } from '../description/description';
import { positiveTurn } from '../text/quantities';
import { trialKind, type TrialOf } from './kind';

/** A straight drive: told, and how far it truly went, measured with a tape. */
export const STRAIGHT_TRIAL = trialKind({
  what: 'drive',
  fields: {
    commandedM: lengthM({
      label: 'Told to drive',
      hint: 'backward: a minus, and for what it drove',
      heading: 'Told',
      title: 'commanded_mm',
      wanted: 'expected a drive, not 0',
      notZero: true,
    }),
    speedMPerS: speedMPerS({ label: 'At', title: 'speed_mm_per_s' }),
    actualM: lengthM({
      label: 'Truly driven',
      heading: 'Truly',
      title: 'actual_mm',
      quantity: 'small length',
    }),
    sidewaysM: orNothing(
      lengthM({
        label: 'To the left by',
        hint: 'right is negative',
        heading: 'To the left',
        title: 'sideways_mm',
        quantity: 'small length',
      }),
    ),
    headingChangeRad: orNothing(
      number({
        label: 'Turned meanwhile',
        about: 'left positive',
        hint: () => `${positiveTurn()}; empty if nobody measured it`,
        heading: 'Turned',
        title: 'turned_deg',
        quantity: 'heading',
        min: -6.3,
        max: 6.3,
        beyond: 'are these degrees? radians are expected',
      }),
    ),
    afterReversal: flag({
      label: 'Before it, it drove',
      heading: 'Before it',
      title: 'before_it',
      yes: 'the other way',
      no: 'the same way',
      default: false,
    }),
    keptBy: orNothing(
      choice({
        label: 'Kept straight by',
        title: 'kept_by',
        options: { heading: 'heading', encoders: 'encoders', nothing: 'nothing' },
      }),
    ),
    remark: orNothing(text({ label: 'Remark', about: 'what was odd about it', title: 'remark' })),
  },
  readOff: ['actualM', 'sidewaysM', 'headingChangeRad'],
  given: ['keptBy'],
});

export type StraightTrialRecord = TrialOf<typeof STRAIGHT_TRIAL>;
