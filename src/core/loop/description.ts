import { number } from '../description/description';

/* What is typed to tell a loop's period, each value described once. */

const rate = (label: string) =>
  number({ label, quantity: 'turning rate', min: 0, max: 35, open: 'below' });

/** Of the robot, while its log is taken. */
export const TURNS_AT = rate('It turns at');

/** A program that counts its rounds, and a stopwatch. */
export const COUNTED = {
  rounds: number({ label: 'It counted', quantity: 'count', min: 2, max: 1e6, whole: true }),
  durationS: number({ label: 'in', hint: 'by a stopwatch', quantity: 'time', min: 1, max: 3600 }),
};

/** A program that switches a sensor's mode again and again, and a stopwatch. */
export const SWITCHED = {
  switches: number({ label: 'It switched', quantity: 'count', min: 2, max: 10_000, whole: true }),
  withS: number({ label: 'in', hint: 'by a stopwatch', quantity: 'time', min: 0.1, max: 3600 }),
  withoutS: number({
    label: 'and the same without switching took',
    quantity: 'time',
    min: 0,
    max: 3600,
  }),
  oldReadings: number({
    label: 'Old readings after a switch',
    hint: 'those that still say what was there before',
    quantity: 'count',
    min: 0,
    max: 100,
    whole: true,
  }),
};

/** Passing what a program waits for, again and again. */
export const PASSED = {
  widthM: number({
    label: 'The line is wide',
    quantity: 'small length',
    min: 0,
    max: 0.5,
    open: 'below',
  }),
  speedMPerS: number({ label: 'Passed at', quantity: 'speed', min: 0, max: 5, open: 'below' }),
  wantedRad: number({ label: 'It waits for', quantity: 'angle', min: 0, max: 6.3 }),
  armRadPerS: rate('It turns at'),
  passes: number({ label: 'Passed', quantity: 'count', min: 1, max: 1000, whole: true }),
  caught: number({ label: 'Caught', quantity: 'count', min: 0, max: 1000, whole: true }),
};
