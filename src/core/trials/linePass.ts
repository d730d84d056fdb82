import { choice, number, orNothing } from '../description/description';
import { SEEN_BY } from '../light/linePassWords';
import { trialKind, type EntryOf, type TrialOf } from './kind';

/** A drive over a line that was to end there. */
export const LINE_PASS = trialKind({
  what: 'pass',
  fields: {
    by: choice({
      label: 'The line is told by',
      heading: 'By',
      title: 'by',
      options: SEEN_BY,
      default: 'brightness',
    }),
    drives: choice({
      label: 'It drives',
      title: 'drives',
      options: { forwards: 'forwards', backwards: 'backwards' },
      default: 'forwards',
    }),
    on: choice({
      label: 'And stops',
      heading: 'Stops',
      title: 'on',
      options: { entering: 'going onto it', leaving: 'coming off it' },
      default: 'entering',
    }),
    speedMPerS: number({
      label: 'At',
      title: 'speed_mm_per_s',
      quantity: 'speed',
      min: 0,
      max: 5,
      open: 'below',
    }),
    noticed: choice({
      label: 'It noticed',
      about: 'line, nothing where it missed it, floor where it took floor for a line',
      title: 'noticed',
      options: { line: 'the line', nothing: 'nothing', floor: 'floor' },
      default: 'line',
    }),
    overM: orNothing(
      number({
        label: 'Stood past the line’s edge by',
        heading: 'Past the edge',
        about: 'along its way; empty: not measured',
        hint: 'along its way; short of it is negative',
        title: 'past_mm',
        quantity: 'small length',
        min: -1,
        max: 1,
      }),
    ),
  },
  readOff: ['overM'],
  given: ['noticed'],
});

export type LinePassRecord = TrialOf<typeof LINE_PASS>;
export type LinePassEntry = EntryOf<typeof LINE_PASS>;
