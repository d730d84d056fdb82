import { description, flag, number, text, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';
import { UNTIL, unitOf } from '../sharedFields';

/** Move an arm: to a named position, to an angle, or for a time; wait for it, or drive on meanwhile. */
export const ATTACHMENT = description({
  kind: 'attachment',
  label: 'Arm',
  fields: {
    share: number({
      label: 'Power',
      about: 'share of full power; for a time a negative one turns the other way',
      quantity: 'share',
      min: -1,
      max: 1,
      notZero: true,
      wanted: 'expected a power, forwards or backwards',
      default: 0.5,
    }),
    wait: flag({
      label: 'Meanwhile',
      about: 'the robot stands until it is there; else it goes on at once',
      yes: 'wait for it',
      no: 'go on at once',
      default: true,
    }),
  },
  optional: {
    unit: unitOf('attachment motor', 'Motor'),
    position: text({
      label: 'Position',
      about: 'as it is called on the Bench',
      isNeeded: true,
      wanted: 'expected the name of a position',
    }),
    angleRad: number({
      label: 'Angle',
      about: 'of the motor, from where it stood at the start',
      quantity: 'angle',
      min: -200,
      max: 200,
    }),
    seconds: number({
      label: 'Time',
      about: 'without feedback',
      quantity: 'time',
      min: 0.05,
      max: 60,
    }),
    until: UNTIL,
  },
  phrase: () => [
    'Move the arm',
    { ifSet: 'unit', phrase: say` on ${'unit'}` },
    { ifSet: 'position', phrase: say` to “${'position'}”` },
    { ifSet: 'angleRad', phrase: say` to ${'angleRad'}` },
    { ifSet: 'seconds', phrase: say` for ${'seconds'}` },
    ...say` at ${'share'} of full power and ${'wait'}`,
    { ifSet: 'until', phrase: say`, or until ${'until'}` },
  ],
});

export type AttachmentStep = RecordOf<typeof ATTACHMENT>;
