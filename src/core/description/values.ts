import { positiveTurn } from '../text/quantities';
import { number, orNothing, type NumberValue } from './description';

/*
 * Values that many records and procedures take, within what a small robot on a table can show. Where a limit is
 * passed, another unit is the likely reason, and the sentence asks for it.
 */

const MILLISECONDS = 'are these milliseconds? seconds are expected';
const DEGREES = 'are these degrees? radians are expected';
const MILLIMETRES = 'are these millimetres? metres are expected';

/** How finely an encoder counts what its motor turns. */
export const countsPerMotorDegree = number({
  label: 'Counts per motor degree',
  quantity: 'ratio',
  min: 0,
  max: 10_000,
  open: 'below',
  default: 1,
});

/** Two full turns and some: no program is told more at once. */
const MOST_TURN_RAD = 13;

/** A turn that is told, wanted or made. */
export const turnRad = number({
  label: 'Turn',
  quantity: 'heading',
  min: -MOST_TURN_RAD,
  max: MOST_TURN_RAD,
  beyond: `expected at most ± 13 rad (745°): ${DEGREES}`,
});

export const turningRateRadPerS = number({
  label: 'Turning at',
  quantity: 'turning rate',
  min: 0,
  max: 20,
  open: 'below',
  beyond: `expected at most 20 rad/s (1146°/s): ${DEGREES}`,
});

export const turnDurationS = number({
  label: 'The turn took',
  quantity: 'time',
  min: 0,
  max: 60,
  open: 'below',
  beyond: `expected at most 60 s: ${MILLISECONDS}`,
});

export const runDurationS = number({
  label: 'A run takes',
  quantity: 'time',
  min: 0,
  max: 3600,
  open: 'below',
  beyond: `expected at most 3600 s: ${MILLISECONDS}`,
});

/** How much a heading may be off. */
export const toleranceRad = number({
  label: 'It can bear',
  quantity: 'angle',
  min: 0,
  max: 0.8,
  open: 'below',
  beyond: `expected at most 0.8 rad (46°): ${DEGREES}`,
});

export const driftRadPerS = number({
  label: 'Known drift',
  quantity: 'drift',
  min: -0.35,
  max: 0.35,
  beyond: `expected at most ± 0.35 rad/s (20°/s): ${DEGREES}`,
});

/** A length that is told, or read off a tape. */
export const lengthM = (of: { label: string } & Partial<NumberValue>): NumberValue =>
  number({
    quantity: 'length',
    min: -30,
    max: 30,
    beyond: `expected at most ${of.min === undefined ? '± ' : ''}30 m: ${MILLIMETRES}`,
    ...of,
  });

export const speedMPerS = (of: { label: string } & Partial<NumberValue>): NumberValue =>
  number({
    quantity: 'speed',
    min: 0,
    max: 5,
    open: 'below',
    beyond: `expected at most 5 m/s: ${MILLIMETRES}`,
    ...of,
  });

/** By a stopwatch. */
export const timeS = (of: { label: string } & Partial<NumberValue>): NumberValue =>
  number({
    quantity: 'time',
    min: 0.001,
    max: 600,
    wanted: 'expected at least 1 ms',
    beyond: `expected at most 600 s: ${MILLISECONDS}`,
    ...of,
  });

/** Where a lap ends, against where it began. */
export const lapM = (label: string): NumberValue =>
  number({
    label,
    quantity: 'small length',
    min: -5,
    max: 5,
    beyond: `expected at most ± 5 m: ${MILLIMETRES}`,
  });

export const lapHeadingRad = number({
  label: 'Turned over by',
  about: 'left is positive',
  hint: positiveTurn,
  quantity: 'heading',
  min: -3.2,
  max: 3.2,
  beyond: `expected at most ± 3.2 rad (half a turn): ${DEGREES}`,
});

/** In which step a tape was read. */
export const readToM = orNothing(
  number({
    label: 'The tape is read to',
    about: 'the step in which the tape was read; null: as the readings show it',
    hint: 'empty: as the readings show',
    quantity: 'small length',
    min: 0,
    max: 0.1,
    open: 'below',
    beyond: `expected at most 0.1 m: ${MILLIMETRES}`,
  }),
);

export const sideM = number({
  label: 'Side of the square',
  quantity: 'length',
  min: 0.05,
  max: 10,
  wanted: 'expected at least 0.05 m',
  beyond: `expected at most 10 m: ${MILLIMETRES}`,
});

export const trackM = number({
  label: 'Track width',
  quantity: 'small length',
  min: 0.01,
  max: 2,
  wanted: 'expected at least 0.01 m',
  beyond: `expected at most 2 m: ${MILLIMETRES}`,
});

export const wheelDiameterM = number({
  label: 'Wheel diameter',
  quantity: 'small length',
  min: 0.005,
  max: 1,
  wanted: 'expected at least 0.005 m',
  beyond: `expected at most 1 m: ${MILLIMETRES}`,
});
