import { isA } from '../../core/devices/ofRobot';
import { radiansFromDegrees as deg } from '../../core/geometry/angle';
import { robotSchema, type Robot } from '../../core/robot/robot';

/** Wren as the team has written it down: larger wheels, an arm, two light sensors, nothing that looks ahead. */
export const wren: Robot = robotSchema.parse({
  wheelDiameterM: 0.0624,
  trackM: 0.118,
  gearRatio: 1.667,
  encoderCountsPerMotorDegree: 2,
  body: { frontM: 0.09, rearM: 0.08, halfWidthM: 0.07 },
  motors: { maxSpeedMPerS: 0.7, maxAccelerationMPerS2: 1.8, lagS: 0.03 },
  units: [
    { id: 'w1', kind: 'left motor', label: 'left motor', port: '1' },
    { id: 'w2', kind: 'right motor', label: 'right motor', port: '4' },
    {
      id: 'w3',
      kind: 'heading sensor',
      label: 'H2',
      port: '5',
      behaviour: { driftSdRadPerS: deg(0.02), noiseRadPerSqrtS: deg(0.03), quantumRad: deg(1) },
    },
    {
      id: 'w4',
      kind: 'light sensor',
      label: 'L2',
      port: '2',
      place: { aheadM: 0.06, heightM: 0.01 },
      mounting: 'under the bow, in the middle',
    },
    {
      id: 'w5',
      kind: 'light sensor',
      label: 'L3',
      port: '3',
      // Before the other one: it has counted a line across before that one is led astray by it.
      place: { aheadM: 0.085, leftM: -0.045, heightM: 0.01 },
      mounting: 'at the right end of the bow',
    },
    { id: 'w6', kind: 'attachment motor', label: 'arm', port: '6', mounting: 'above the bow' },
  ],
  build: { ports: '12345678'.split('').map((name) => ({ name, takes: [] })) },
  program: { command: 'degrees per second', travel: 'motor degrees', setsHeading: 'zero' },
});

/** What its light sensors read over the floor and over a line, of 1. */
const LIGHT_READS: Record<string, { floorShare: number; lineShare: number }> = {
  w4: { floorShare: 0.57, lineShare: 0.1 },
  w5: { floorShare: 0.63, lineShare: 0.14 },
};

/** What is true of Wren and in nobody's notebook. */
export const hiddenWren: Robot = {
  ...wren,
  units: wren.units.map((unit) =>
    isA(unit, 'light sensor')
      ? { ...unit, behaviour: { ...unit.behaviour, ...LIGHT_READS[unit.id] } }
      : unit,
  ),
  motors: { ...wren.motors, lagS: 0.045 },
  errors: {
    wheelScaleError: 0.008,
    wheelDifference: -0.002,
    trackScaleError: -0.006,
    slipMPerSqrtM: 0.002,
  },
};

/** Where its arm stands at the positions that were named, as its motor counts. */
export const ARM_AT = { grip: deg(20), up: deg(110) };

const withArm = (robot: Robot): Robot => ({
  ...robot,
  measured: {
    ...robot.measured,
    arms: [
      {
        unitId: 'w6',
        positions: Object.entries(ARM_AT).map(([name, angleRad]) => ({
          name,
          angleRad,
          sdRad: deg(1),
        })),
      },
    ],
  },
});

/** As its route was planned on it, and as it truly drove. */
export const [plannedWren, drivenWren] = [withArm(wren), withArm(hiddenWren)];
