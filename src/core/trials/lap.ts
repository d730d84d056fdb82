import { choice, flag, orNothing } from '../description/description';
import { lapHeadingRad, lapM } from '../description/values';
import { trialKind } from './kind';

/** A lap of a square: where it ended, against where it began. */
export const LAP_TRIAL = trialKind({
  what: 'lap',
  fields: {
    direction: choice({
      label: 'Driven',
      about: 'cw or ccw',
      title: 'direction',
      options: { cw: 'clockwise', ccw: 'counter-clockwise' },
      alsoWritten: { CW: 'cw', CCW: 'ccw' },
    }),
    goesOn: flag({
      label: 'Began',
      about: 'yes: it began where the lap before it ended',
      heading: 'Began',
      title: 'goes_on',
      no: 'at the mark',
      yes: 'where it stood',
      alsoWritten: { no: false, yes: true },
      default: false,
    }),
    xM: { ...lapM('Ended forward by'), about: 'forward', title: 'return_x_mm' },
    yM: { ...lapM('Ended left by'), about: 'left', title: 'return_y_mm' },
    headingRad: { ...lapHeadingRad, title: 'return_heading_deg' },
    driven: orNothing(
      choice({
        label: 'Sides and turns by',
        about: 'null: as the list says',
        title: 'driven',
        options: { encoders: 'encoders', gyro: 'gyro' },
      }),
    ),
  },
  readOff: ['xM', 'yM', 'headingRad'],
  given: ['driven'],
});
