import { distanceFromMotorDegrees } from '../robot/conversions';
import { radiansFromDegrees } from '../geometry/angle';
import { LINE_GAIN, WALL_GAIN } from '../quantities/units';
import type { Robot } from '../robot/robot';
import { benchScale, errorScale, roundLength } from '../text/lengths';
import { benchLength, benchSpeed, degrees, shortNumber } from '../text/quantities';
import { headingOf, lookingSideways, devicesOf } from '../devices/ofRobot';
import type { Device } from '../devices/device';
import { DRIVING, FOLLOWING, TURNING } from './tunedDrives';
import type { TunedId } from '../robot/tunedIds';

/** A controller and its gain, as a coach says them. */
export interface ShownGain {
  title: string;
  /** The unit of a gain: so much correction for so much error. */
  unit: string;
  spoken: string;
  perSi: number;
  /** In SI; to begin with where nothing better is known. */
  usual: number;
  /** How it is disturbed at the table. */
  push: string;
  /** What counts as back on the target, rad; a share of the largest error where it is left out. */
  bandRad?: number;
  /** The column of a trace: of an error, or of a reading that it keeps at a target. */
  column: { name: string; toSi: number; keepsReading: boolean };
  inProgram: InProgram;
  /** The sensor by which it follows something, whose place on the robot matters; null where none is plugged in. */
  sensor?(robot: Robot): Device | null;
  /** Whether the drives of a route are held with it. */
  holdsRoutes?: true;
  /** How late the reading comes by which it corrects, at worst, s. */
  readsLateS(robot: Robot): number;
  /** How fast it drives, m/s, or turns, rad/s, as a rule, and where else a gain is tried. */
  speeds: { isRate: boolean; usual: number; others: readonly number[] };
  speedText(speed: number): string;
}

/** What a program multiplies: an error in a unit that programs read, into a difference between the wheels. */
interface InProgram {
  /** The unit of the error. */
  per: string;
  /** The error is one of the heading: programs that count those in radians have it for a radian. */
  ofHeading?: true;
  /** Wheel difference, m/s, that a gain makes of one such unit. */
  differenceMPerS(robot: Robot, gain: number): number;
}

const PER_DEGREE = radiansFromDegrees(1);

const perDegree: InProgram = {
  per: '°',
  ofHeading: true,
  differenceMPerS: (_robot, gain) => gain * PER_DEGREE,
};

/** A gain that turns the robot: so much difference between its wheels. */
const turningBy = (per: string, unit: number): InProgram => ({
  per,
  differenceMPerS: ({ trackM }, gain) => gain * unit * trackM,
});

const headingLateS = (robot: Robot): number => {
  const sensor = headingOf(robot);
  return sensor === null ? 0 : sensor.latencyS + sensor.periodS;
};

const ERROR = { name: 'error_deg', toSi: PER_DEGREE, keepsReading: false };

export const SHOWN: Record<TunedId, ShownGain> = {
  turn: {
    title: 'Turn on the spot',
    unit: '°/s per °',
    spoken: 'degrees a second for each degree left',
    perSi: 1,
    usual: 4,
    push: 'Let it turn by 45°.',
    // A turn that swings by more about its target is no good one, however far it had to turn.
    bandRad: 2 * PER_DEGREE,
    column: ERROR,
    inProgram: { ...turningBy('° left', PER_DEGREE), ofHeading: true },
    readsLateS: headingLateS,
    speeds: TURNING,
    speedText: (rate) => `${degrees(rate, 0)}/s`,
  },
  'heading-hold': {
    title: 'Straight by the heading sensor',
    get unit() {
      return `${errorScale().label}/s per °`;
    },
    get spoken() {
      return `${errorScale().spoken} a second between the wheels for each degree off`;
    },
    get perSi() {
      return errorScale().perM * PER_DEGREE;
    },
    usual: 0.6,
    push: 'Let it drive, and hold its left wheel for a moment.',
    column: ERROR,
    inProgram: perDegree,
    holdsRoutes: true,
    readsLateS: headingLateS,
    speeds: DRIVING,
    speedText: benchSpeed,
  },
  balance: {
    title: 'Straight by the encoders',
    get unit() {
      return `${errorScale().label}/s per ${errorScale().label}`;
    },
    get spoken() {
      return `${errorScale().spoken} a second between the wheels for as many of difference`;
    },
    perSi: 1,
    usual: 8,
    push: 'Let it drive, and hold its left wheel for a moment.',
    column: ERROR,
    inProgram: {
      per: '° between the motors',
      differenceMPerS: (robot, gain) => gain * distanceFromMotorDegrees(robot, 1),
    },
    readsLateS: () => 0,
    speeds: DRIVING,
    speedText: benchSpeed,
  },
  wall: {
    title: 'Along a wall',
    get unit() {
      return WALL_GAIN.label;
    },
    get spoken() {
      return WALL_GAIN.spoken;
    },
    get perSi() {
      return WALL_GAIN.show(1);
    },
    usual: 10,
    get push() {
      return `Let it drive along a wall, begun ${benchLength(roundLength(0.04))} too far away.`;
    },
    column: { name: 'reading_cm', toSi: 0.01, keepsReading: true },
    get inProgram() {
      return turningBy(benchScale().label, 1 / benchScale().perM);
    },
    sensor: lookingSideways,
    readsLateS: (robot) => lookingSideways(robot)?.behaviour.periodS ?? 0,
    speeds: FOLLOWING,
    speedText: benchSpeed,
  },
  line: {
    title: 'Along a line',
    unit: LINE_GAIN.label,
    spoken: LINE_GAIN.spoken,
    perSi: LINE_GAIN.show(1),
    usual: 2,
    push: 'Let it follow the left edge of a line, begun a little beside it.',
    column: { name: 'reading_percent', toSi: 0.01, keepsReading: true },
    inProgram: turningBy('%', 0.01),
    sensor: (robot) => devicesOf(robot, 'light sensor')[0] ?? null,
    readsLateS: (robot) => devicesOf(robot, 'light sensor')[0]?.behaviour.periodS ?? 0,
    speeds: FOLLOWING,
    speedText: benchSpeed,
  },
};

const DIGITS = 3;
const MOST_DECIMALS = 4;

/** A gain in its unit, to three digits: so a coach types it. */
const typedFigure = (id: TunedId, gain: number): number =>
  Number((gain * SHOWN[id].perSi).toPrecision(DIGITS));

/** The gain that a coach types for one that was computed. */
export const asTyped = (id: TunedId, gain: number): number =>
  typedFigure(id, gain) / SHOWN[id].perSi;

const nonBreaking = (text: string): string => text.replaceAll(' ', '\u00a0');

const withUnit = (id: TunedId, constant: number, unit: string): string =>
  nonBreaking(`${shortNumber(typedFigure(id, constant), MOST_DECIMALS)} ${unit}`);

/** A gain with its unit, which is not torn apart at the end of a line. */
export const gainText = (id: TunedId, gain: number): string => withUnit(id, gain, SHOWN[id].unit);

/** The units of a damping constant, for each unit a second of change, and of an integral one. */
export const dampingUnit = (id: TunedId): string => `${SHOWN[id].unit}/s`;
export const integralUnit = (id: TunedId): string => `${SHOWN[id].unit}·s`;

export const dampingText = (id: TunedId, damping: number): string =>
  withUnit(id, damping, dampingUnit(id));

export const integralText = (id: TunedId, integral: number): string =>
  withUnit(id, integral, integralUnit(id));
