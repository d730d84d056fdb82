/** The steps that distance sensors show their readings in, m: parts of a centimetre and of an inch, the largest first. */
const STEPS_M = [0.0254, 0.0127, 0.01, 0.005, 0.00254, 0.001, 0.0005, 0.000254, 0.0001];
/** A reading is a whole number of steps when it is off by less than this share of one. */
const WHOLE = 1e-4;

/**
 * The step in which a distance sensor reads (its quantum), m: the largest of the usual ones of which all readings are
 * whole multiples. 0 where none is seen: finer than 0.1 mm, or means of several readings.
 *
 * @param readingsM what it read, m; echoes that were lost left out
 */
export const readingStepM = (readingsM: readonly number[]): number =>
  STEPS_M.find((step) =>
    readingsM.every((reading) => Math.abs(reading / step - Math.round(reading / step)) < WHOLE),
  ) ?? 0;

/** Standard deviation of what rounding to a step leaves: uniform between half a step either way (Widrow 1956). */
export const roundingSdM = (stepM: number): number => stepM / Math.sqrt(12);

/** Whether a sensor rests on its steps: it scatters by less than half of one, and more readings tell no more. */
export const restsOnSteps = (sdM: number, stepM: number): boolean => sdM < stepM / 2;
