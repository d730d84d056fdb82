import { choice, number, text, themselves } from '../description/description';
import { trialKind } from './kind';

const shown = (label: string, title: string) =>
  number({ label, title, quantity: 'angle', min: -40, max: 40 });

/** An angle that a controller reports, before and after the robot was turned a quarter to the left. */
export const REPORTED_ANGLE = trialKind({
  what: 'angle',
  fields: {
    name: text({ label: 'Called', title: 'angle', about: 'what the controller calls it' }),
    beforeRad: shown('Before', 'before_deg'),
    afterRad: shown('After', 'after_deg'),
  },
  readOff: ['beforeRad', 'afterRad'],
});

/** The heading before a program was started, and just after. */
export const PROGRAM_START = trialKind({
  what: 'start',
  fields: {
    beforeRad: shown('Before the start', 'before_deg'),
    afterRad: shown('Just after it', 'after_deg'),
  },
  readOff: ['beforeRad', 'afterRad'],
});

/** The heading twice while the robot stands, its motors off or running. */
export const STANDING_STRETCH = trialKind({
  what: 'look',
  fields: {
    motors: choice({ label: 'Motors', options: themselves(['off', 'running']) }),
    fromRad: shown('First', 'first_deg'),
    untilRad: shown('Then', 'then_deg'),
    durationS: number({
      label: 'Between two readings',
      title: 'time_s',
      quantity: 'time',
      min: 2,
      max: 3600,
    }),
  },
  readOff: ['fromRad', 'untilRad'],
});
