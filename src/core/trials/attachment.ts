import { ENDED_BY } from '../attachments/words';
import { choice, number, orNothing, text } from '../description/description';
import { trialKind, type TrialOf } from './kind';

/** A move of an attachment to one of its positions. */
export const ATTACHMENT_MOVE = trialKind({
  what: 'move',
  fields: {
    position: text({
      label: 'To the position',
      about: '“up”, “home”, “grip”',
      title: 'position',
      isNeeded: true,
      wanted: 'expected which position',
    }),
    wantedRad: number({
      label: 'Told to stand at',
      about: 'from home',
      title: 'wanted_deg',
      quantity: 'angle',
      min: -100,
      max: 100,
    }),
    endedBy: choice({
      label: 'Ended by',
      about: 'what ended it: its counter, or a time where nothing counts',
      title: 'ended_by',
      options: ENDED_BY,
      default: 'counter',
    }),
    came: choice({
      label: 'It came',
      title: 'came',
      options: { up: 'with growing angles', down: 'with falling angles' },
      default: 'up',
    }),
    speedRadPerS: number({
      label: 'At',
      title: 'speed_deg_per_s',
      quantity: 'turning rate',
      min: 0,
      max: 50,
      open: 'below',
    }),
    load: choice({
      label: 'Load',
      title: 'load',
      options: { empty: 'empty', loaded: 'loaded' },
      default: 'empty',
    }),
    reachedRad: number({
      label: 'It stood at',
      about: 'by its counter, or by a protractor',
      title: 'reached_deg',
      quantity: 'angle',
      min: -100,
      max: 100,
    }),
    timeS: orNothing(
      number({
        label: 'It took',
        about: 'empty: not timed',
        title: 'time_s',
        quantity: 'time',
        min: 0,
        max: 60,
        open: 'below',
      }),
    ),
  },
  readOff: ['reachedRad', 'timeS'],
});

export type AttachmentMoveRecord = TrialOf<typeof ATTACHMENT_MOVE>;
