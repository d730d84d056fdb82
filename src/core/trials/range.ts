import { lengthM } from '../description/values';
import { number, orNothing, text } from '../description/description';
import { trialKind } from './kind';

/** A reading of a distance sensor beside the tape. */
export const RANGE_TRIAL = trialKind({
  what: 'reading',
  fields: {
    unit: text({
      label: 'Unit',
      about: 'its label',
      title: 'unit',
      isNeeded: true,
      wanted: 'expected which unit',
    }),
    trueM: lengthM({
      label: 'By the tape',
      about: 'by the tape',
      title: 'tape_cm',
      min: 0,
    }),
    readingM: orNothing(
      lengthM({
        label: 'Read',
        about: 'null: the echo was lost, or it shows volts',
        title: 'reading_cm',
        min: -1,
      }),
    ),
    readingV: orNothing(
      number({
        label: 'Read in volts',
        about: 'of a sensor that shows volts; null: lost, or it shows a length',
        title: 'reading_v',
        quantity: 'voltage',
        min: 0,
        max: 60,
        beyond: 'expected at most 60 V',
      }),
    ),
    turnedRad: number({
      label: 'Robot turned by',
      about: 'of the robot, off the wall’s direction',
      title: 'turned_deg',
      quantity: 'heading',
      min: -1.5,
      max: 1.5,
      beyond: 'are these degrees? radians are expected',
      default: 0,
    }),
  },
  readOff: ['readingM', 'readingV'],
});
