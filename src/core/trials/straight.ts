import { choice, flag, number, orNothing, text } from '../description/description';
import { positiveTurn } from '../text/quantities';
import { trialKind, type TrialOf } from './kind';

/** A straight drive: told, and how far it truly went, measured with a tape. */
export const STRAIGHT_TRIAL = trialKind({
  what: 'drive',
  fields: {
    commandedM: number({
      label: 'Told to drive',
      hint: 'backward: a minus, and for what it drove',
      heading: 'Told',
      title: 'commanded_mm',
      wanted: 'expected a drive, not 0',
      quantity: 'length',
      min: -10,
      max: 10,
      notZero: true,
    }),
    speedMPerS: number({
      label: 'At',
      title: 'speed_mm_per_s',
      quantity: 'speed',
      min: 0.01,
      max: 5,
    }),
    actualM: number({
      label: 'Truly driven',
      heading: 'Truly',
      title: 'actual_mm',
      quantity: 'small length',
      min: -10,
      max: 10,
    }),
    sidewaysM: orNothing(
      number({
        label: 'To the left by',
        hint: 'right is negative',
        heading: 'To the left',
        title: 'sideways_mm',
        quantity: 'small length',
        min: -5,
        max: 5,
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
        min: -40,
        max: 40,
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
