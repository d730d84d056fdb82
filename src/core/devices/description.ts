import { choice, flag, number, orNothing, text, themselves } from '../description/description';
import { PORT_CLASSES, type PortClass } from './portClasses';

/* The values that every motor and sensor has, each described once; its kind describes how it behaves. */

/** In what a program reads a unit, before any conversion. */
export const RAW_READINGS = ['volts', 'counts', 'percent', 'cm', 'mm', 'inches'] as const;

/** Where it sits: from the middle of the axle. */
export const PLACE = {
  aheadM: number({
    label: 'Ahead of the axle',
    quantity: 'small length',
    min: -2,
    max: 2,
    default: 0,
  }),
  leftM: number({
    label: 'Left of the middle',
    quantity: 'small length',
    min: -2,
    max: 2,
    default: 0,
  }),
  heightM: orNothing(number({ label: 'Height', quantity: 'small length', min: 0, max: 1 })),
};

export const FACING = {
  facingRad: number({
    label: 'Looks to the left by',
    about: '0: ahead; left positive',
    quantity: 'angle',
    min: -3.2,
    max: 3.2,
    default: 0,
  }),
};

export const LABEL = {
  label: text({ label: 'Label on it', isNeeded: true, wanted: 'expected a label' }),
};

/** How it is fixed and called. */
export const WORDS = {
  mounting: text({
    label: 'Mounted',
    about: 'where it sits and which way it looks, in words',
    default: '',
  }),
  programName: text({
    label: 'Name in programs',
    about: 'the name by which programs call it',
    default: '',
  }),
};

export const ADDRESS = {
  address: text({
    label: 'Address on its bus',
    about: 'on its bus, where it has one',
    default: '',
  }),
};

/** What it is plugged in by, where its kind's units usually have such a plug. */
export const plugOf = (usual: PortClass) =>
  choice({ label: 'Plug', options: themselves<PortClass>(PORT_CLASSES), default: usual });

/** How programs read it, where that is not in the units of its kind. */
export const RAW = {
  reading: choice({ label: 'Programs read it', options: themselves(RAW_READINGS) }),
  max: orNothing(
    number({
      label: 'Full scale, if known',
      about: 'full scale, if known',
      quantity: 'ratio',
      min: 0,
      max: 1e9,
      open: 'below',
    }),
  ),
  grows: flag({
    label: 'With what it measures, that',
    about: 'grows with what is measured, or falls',
    yes: 'grows',
    no: 'falls',
    default: true,
  }),
};
