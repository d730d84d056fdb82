import { number, text } from '../description/description';

/* The values of a table and of what is on it, each described once. */

const size = (label: string) => number({ label, quantity: 'small length', min: 0.2, max: 20 });

export const TABLE = {
  widthM: size('Along the home edge'),
  heightM: size('Away from it'),
};

const coordinate = (label: string) =>
  number({ label, quantity: 'small length', min: -20, max: 20 });

/** Where something stands, and which way it looks. */
export const POSE = {
  xM: coordinate('Robot’s axle at x'),
  yM: coordinate('at y'),
  headingRad: number({ label: 'looking to', quantity: 'heading', min: -100, max: 100 }),
};

/** A straight piece by its two ends, or an area by two of its corners. */
export const SEGMENT = {
  x1M: coordinate('from x'),
  y1M: coordinate('from y'),
  x2M: coordinate('to x'),
  y2M: coordinate('to y'),
};

export const LINE = {
  widthM: number({
    label: 'wide',
    quantity: 'small length',
    min: 0,
    max: 0.5,
    open: 'below',
    default: 0.02,
  }),
};

/** Of a line that is an arc. */
export const BEND = {
  bendRad: number({
    label: 'bending by',
    about:
      'how far it turns to the left from its first end to its second, as an arc; left out: straight',
    hint: 'to the left; empty: straight',
    quantity: 'angle',
    min: -6,
    max: 6,
  }),
};

/** Of what stands on the table and is driven round. */
export const OBSTACLE = {
  heightM: number({
    label: 'high',
    about: 'distance sensors that sit higher look over it',
    quantity: 'small length',
    min: 0,
    max: 1,
    open: 'below',
    default: 0.1,
  }),
};

/** Of what is not always there: a gate that may be open, a piece that is drawn before the match. */
export const PRESENT = {
  share: number({
    label: 'there in',
    about: 'of the runs, each drawing anew; null, or left out: always',
    hint: 'of the runs; empty: always',
    quantity: 'share',
    min: 0,
    max: 1,
  }),
};

const half = (label: string) =>
  number({ label, quantity: 'small length', min: 0, max: 1, open: 'below', default: 0.02 });

/** How exactly the robot must stand: half sizes, along and across the mission's heading. */
export const WINDOW = {
  alongM: half('Works along ±'),
  acrossM: half('across ±'),
  headingRad: number({
    label: 'heading ±',
    quantity: 'angle',
    min: 0,
    max: 3.2,
    open: 'below',
    default: 0.0873,
  }),
};

export const MISSION = {
  name: text({ label: 'Name', isNeeded: true, wanted: 'expected a name', mostLetters: 60 }),
  points: number({
    label: 'Worth',
    about: 'where it has parts: besides, if every part is worked',
    quantity: 'points',
    min: -1000,
    max: 1000,
    whole: true,
    default: 0,
  }),
};

/** Of a mission that is scored in parts. */
export const PART = {
  name: text({ label: 'Part', isNeeded: true, wanted: 'expected a name', mostLetters: 40 }),
  points: number({
    label: 'Worth',
    about: 'each piece; below 0 where it costs points',
    quantity: 'points',
    min: -1000,
    max: 1000,
    whole: true,
    default: 0,
  }),
  pieces: number({
    label: 'Pieces',
    quantity: 'times',
    min: 1,
    max: 50,
    whole: true,
    default: 1,
  }),
};
