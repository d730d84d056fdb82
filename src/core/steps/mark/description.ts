import { description, flag, number, reference, type RecordOf } from '../../description/description';
import { say } from '../../description/phrase';

/** A mission, or a part of one, is worked here: the robot stands for a while, or comes by in its next motion. */
export const MARK = description({
  kind: 'mark',
  label: 'Mission',
  fields: {
    missionId: reference({ label: 'Mission', to: 'mission' }),
    dwellS: number({
      label: 'Time at the mission',
      quantity: 'time',
      min: 0,
      max: 60,
      default: 1,
    }),
  },
  optional: {
    part: reference({
      label: 'Part of it',
      to: 'part',
      about: 'by its name; left out: all of them',
      leftOut: 'all of it',
    }),
    passing: flag({
      label: 'How it is worked',
      about: 'in passing, where the next motion comes by; left out: standing, or by an attachment',
      yes: 'in passing, as the next step comes by',
      no: 'standing',
      leftOut: 'standing',
    }),
    leastMPerS: number({
      label: 'At least so fast',
      about: 'in passing: slower, it does not work',
      quantity: 'speed',
      min: 0,
      max: 5,
    }),
    pushM: number({
      label: 'Working it pushes the robot ahead by',
      about: 'negative: back; on average, once it has stood; left out: nobody has measured it',
      quantity: 'small length',
      min: -0.1,
      max: 0.1,
    }),
    turnRad: number({
      label: 'and turns it by',
      about: 'on average; left out: not at all where the push is told, else nobody has measured it',
      quantity: 'angle',
      min: -0.5,
      max: 0.5,
    }),
  },
  phrase: ({ passing }) => [
    ...say`Work the ${'missionId'}`,
    { ifSet: 'part', phrase: say` (${'part'})` },
    ...(passing === true ? say`` : say`, taking ${'dwellS'}`),
    ...(passing === true
      ? []
      : [
          { ifSet: 'pushM', phrase: say`, which pushes the robot by ${'pushM'}` } as const,
          { ifSet: 'turnRad', phrase: say`, which turns it by ${'turnRad'}` } as const,
        ]),
    { ifSet: 'passing', phrase: say`, ${'passing'}` },
    ...(passing === true
      ? [{ ifSet: 'leastMPerS', phrase: say`, with at least ${'leastMPerS'}` } as const]
      : []),
  ],
});

export type MarkStep = RecordOf<typeof MARK>;
