/** A reading is a whole number of steps when it is off by less than this share of one. */
const WHOLE = 1e-4;

const DEGREE = Math.PI / 180;
const INCH = 0.0254;

/** The steps in which lengths are read, m: from a tape that is read to 5 cm, parts of an inch, to tenths of a millimetre. */
const LENGTHS_M = [
  0.05,
  INCH,
  0.02,
  INCH / 2,
  0.01,
  INCH / 4,
  0.005,
  INCH / 8,
  INCH / 10,
  0.002,
  INCH / 16,
  0.001,
  0.0005,
  INCH / 100,
  0.0002,
  0.0001,
];
/** The steps in which angles are read, rad: from what an eye tells to hundredths of a degree. */
const ANGLES_RAD = [5, 2, 1, 0.5, 0.25, 0.2, 0.1, 0.05, 0.02, 0.01].map((step) => step * DEGREE);
/** The steps in which volts are read, V. */
const VOLTS = [0.1, 0.05, 0.02, 0.01, 0.005, 0.002, 0.001, 0.0001];
/** The steps in which times are read, s. */
const TIMES_S = [1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01, 0.001];

/** A tape along the floor is read to half an inch at worst, a protractor to 5°. */
const COARSEST_TAPE_M = INCH / 2;
const COARSEST_FLOOR_M = 0.05;
export const COARSEST_PROTRACTOR_RAD = 5 * DEGREE;
/** So few different readings prove no step coarser than this. */
const FEW = 2;
const FEW_PROVE_M = 0.01;
const FEW_PROVE_RAD = DEGREE;

/**
 * The largest of some steps of which all readings are whole multiples; where none is, the finest: no instrument is
 * exact. Readings that agree by chance prove no coarse step.
 *
 * @param coarsest that is believed, and of few readings
 */
function stepOf(
  readings: readonly number[],
  steps: readonly number[],
  coarsest: { ofMany: number; ofFew: number },
): number {
  const different = [...new Set(readings.map((reading) => Number(reading.toPrecision(9))))];
  const most = different.length <= FEW ? coarsest.ofFew : coarsest.ofMany;
  const isWhole = (step: number) =>
    different.every((reading) => Math.abs(reading / step - Math.round(reading / step)) < WHOLE);
  const possible = steps.filter((step) => step <= most * (1 + WHOLE));
  return possible.find(isWhole) ?? steps.at(-1) ?? 0;
}

/**
 * The step in which lengths were read along a tape, m.
 *
 * @param readToM as somebody said, m; null: nobody did, and the readings show it
 */
export const lengthStepM = (readingsM: readonly number[], readToM: number | null = null): number =>
  readToM ?? stepOf(readingsM, LENGTHS_M, { ofMany: COARSEST_TAPE_M, ofFew: FEW_PROVE_M });

/** The step in which places were read on the floor, m: by its squares at worst, of however few, or as somebody said. */
export const floorStepM = (readingsM: readonly number[], readToM: number | null = null): number =>
  readToM ?? stepOf(readingsM, LENGTHS_M, { ofMany: COARSEST_FLOOR_M, ofFew: COARSEST_FLOOR_M });

/**
 * The step in which angles were read, rad.
 *
 * @param ofFew the coarsest that two different readings prove
 */
export const angleStepRad = (readingsRad: readonly number[], ofFew = FEW_PROVE_RAD): number =>
  stepOf(readingsRad, ANGLES_RAD, { ofMany: COARSEST_PROTRACTOR_RAD, ofFew });

/** The step in which times were read, s. */
export const timeStepS = (readingsS: readonly number[]): number =>
  stepOf(readingsS, TIMES_S, { ofMany: 1, ofFew: 0.1 });

/** The step in which volts were read, V. */
export const voltStepV = (readingsV: readonly number[]): number =>
  stepOf(readingsV, VOLTS, { ofMany: 0.1, ofFew: 0.1 });
