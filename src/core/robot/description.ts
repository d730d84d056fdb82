import { choice, flag, number, numeral, orNothing, text } from '../description/description';
import { countsPerMotorDegree, trackM, wheelDiameterM } from '../description/values';

/* The values of a robot's record, part by part, each described once. */

/** Sizes that are the whole robot's, as measured with a ruler. */
export const SIZES = {
  wheelDiameterM,
  trackM,
  gearRatio: number({
    label: 'Motor turns per wheel turn',
    quantity: 'ratio',
    min: 0,
    max: 1000,
    open: 'below',
    default: 1,
  }),
  encoderCountsPerMotorDegree: countsPerMotorDegree,
};

const ofBody = (label: string, usual: number, about?: string) =>
  number({
    label,
    ...(about !== undefined && { about }),
    quantity: 'small length',
    min: 0,
    max: 2,
    default: usual,
  });

/** From the middle of the axle. */
export const BODY = {
  frontM: ofBody('To the front', 0.11, 'axle to front bumper'),
  rearM: ofBody('To the rear', 0.07),
  halfWidthM: { ...ofBody('To either side', 0.08), open: 'below' as const },
};

/** What can be mounted on it: the outline of the robot with that on, and how its motor stands as a run begins. */
export const MOUNTING = {
  name: text({ label: 'What can be mounted', isNeeded: true, wanted: 'expected a name' }),
  ...BODY,
  underM: {
    ...ofBody('Its lower edge', 0, 'above the table: what is lower passes beneath it'),
    max: 1,
  },
  armStartRad: number({
    label: 'Its motor at the start',
    about: 'as its counter has it where the robot is placed; of the first attachment motor',
    quantity: 'angle',
    min: -100,
    max: 100,
    default: 0,
  }),
};

/** How fast the wheels can follow a command. */
export const MOTORS = {
  maxSpeedMPerS: number({
    label: 'Top speed',
    quantity: 'speed',
    min: 0,
    max: 10,
    open: 'below',
    default: 0.6,
  }),
  maxAccelerationMPerS2: number({
    label: 'Acceleration',
    quantity: 'acceleration',
    min: 0,
    max: 50,
    open: 'below',
    default: 1.5,
  }),
  lagS: number({
    label: 'Lag',
    about: 'first-order lag of the wheel speed',
    quantity: 'short time',
    min: 0,
    max: 1,
    open: 'below',
    default: 0.04,
  }),
};

export const LOOP = {
  loopPeriodS: number({
    label: 'Loop period',
    about: 'period of the program’s loop',
    quantity: 'short time',
    min: 0.001,
    max: 0.5,
    default: 0.01,
  }),
};

const share = (label: string, about?: string) =>
  number({
    label,
    ...(about !== undefined && { about }),
    quantity: 'share',
    min: -0.3,
    max: 0.3,
    open: 'both',
    default: 0,
  });

/** What the record gets wrong about the robot, and how it scatters from run to run. */
export const ROBOT_ERRORS = {
  wheelScaleError: share('Wheels larger by', 'true over recorded wheel size, −1'),
  wheelDifference: share('Right wheel larger by', 'right over left wheel, −1'),
  trackScaleError: share('Track wider by'),
  slipMPerSqrtM: number({
    label: 'Slip scatter after 1 m',
    about: 'scatter of one wheel after 1 m',
    quantity: 'small length',
    min: 0,
    max: 0.2,
    default: 0.002,
  }),
};

const grows = (label: string, about?: string) =>
  numeral({
    label,
    ...(about !== undefined && { about }),
    options: { 1: 'grows', [-1]: 'shrinks' } as const,
    default: 1,
  });

/** Whether a raw reading grows (1) or shrinks (−1) in Corvat's positive direction; nothing else flips a sign. */
export const SIGNS = {
  heading: grows('Raw heading, turning left', '1: grows when the robot turns left'),
  leftMotor: grows('Left motor, rolling forward', '1: grows when it rolls forward'),
  rightMotor: grows('Right motor, rolling forward'),
};

const isSo = (label: string, about?: string) =>
  flag({ label, ...(about !== undefined && { about }), yes: 'yes', no: 'no', default: false });

/** How the robot is built and behaves, as far as the team knows. */
export const BUILD = {
  drivenWheels: numeral({
    label: 'Driven wheels',
    options: { 2: 'two', 4: 'four' },
    default: 2,
  }),
  skids: isSo('Wheels slide sideways in turns', 'wheels slide sideways when it turns'),
  trailingCaster: isSo(
    'A caster that swings round',
    'a wheel that swings round trails behind its pivot',
  ),
  encodersRollOver: isSo('Encoders roll over'),
  onStop: choice({
    label: 'Motors on a stop',
    options: { coast: 'coast', brake: 'brake', hold: 'hold' },
    default: 'brake',
  }),
  startZeroesHeading: choice({
    label: 'Starting a program zeroes the heading',
    options: { yes: 'yes', no: 'no', 'not tested': 'not tested' },
    default: 'not tested',
  }),
  battery: text({
    label: 'Battery',
    hint: 'Charge it attended, with its own charger; a swollen or damaged pack is never used again.',
    default: '',
  }),
};

/** How its programs count, apart from the ways of counting themselves. */
export const PROGRAM = {
  forwardSign: numeral({
    label: 'Forward is told with',
    about: '1: a positive command drives forward',
    options: { 1: 'plus', [-1]: 'minus' } as const,
    default: 1,
  }),
  turnSign: numeral({
    label: 'A plus turns it',
    about: '1: a positive steering, or turning, goes to the right',
    options: { 1: 'right', [-1]: 'left' } as const,
    default: 1,
  }),
  angles: choice({
    label: 'Headings are counted in',
    about: 'in which its programs count headings',
    options: { degrees: 'degrees', radians: 'radians' },
    default: 'degrees',
  }),
  setsHeading: choice({
    label: 'A program sets its heading to',
    about: 'what its kit offers; zero alone: later headings count from where it was zeroed',
    options: { any: 'any number', zero: 'zero alone' },
    default: 'any',
  }),
  regulated: flag({
    label: 'On a tired battery it drives',
    about: 'its kit holds the speed that a share of power stands for, whatever the battery',
    no: 'slower',
    yes: 'as fast',
    default: false,
  }),
};

/** How drives and headings are told, as calibrations say. */
export const TOLD = {
  coastM: number({
    label: 'Rolls on by',
    about: 'rolls on so far after the distance that a drive was told',
    quantity: 'small length',
    min: -1,
    max: 1,
    default: 0,
  }),
  headingScale: number({
    label: 'Headings are told times',
    about:
      'every heading that is turned to or held is told times this: the heading sensor’s own scale',
    quantity: 'ratio',
    min: 0.5,
    max: 2,
    default: 1,
  }),
};

/** A drive that was timed with a tape and a watch, at one power. */
export const TIMED_DRIVE = {
  percent: number({ label: 'Told', quantity: 'percentage', min: 0, max: 100, open: 'below' }),
  distanceM: number({ label: 'it drove', quantity: 'length', min: 0, max: 20, open: 'below' }),
  durationS: number({ label: 'in', quantity: 'time', min: 0, max: 120, open: 'below' }),
};

/** Of a way of getting rid of drift. */
export const TAKES = orNothing(
  number({ label: 'It takes here', quantity: 'time', min: 1, max: 3600 }),
);

/** What is converted into each other. */
export const CONVERTED = {
  motorDegrees: number({
    label: 'Motor',
    quantity: 'motor angle',
    min: -1e9,
    max: 1e9,
    beyond: 'expected at most ± 10⁹ motor degrees',
  }),
  distanceM: number({
    label: 'Drives straight',
    quantity: 'length',
    min: -1000,
    max: 1000,
    beyond: 'expected at most ± 1000 m: are these millimetres? metres are expected',
  }),
  headingRad: number({
    label: 'Robot turns on the spot',
    quantity: 'heading',
    min: -1e4,
    max: 1e4,
    beyond: 'expected at most ± 10 000 rad',
  }),
};
