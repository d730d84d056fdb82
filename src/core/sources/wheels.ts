import { calibrationOf } from '../calibration/find';
import { batteryShare, onBattery } from '../program/byPower';
import { tellsTopSpeed } from '../program/speedOf';
import { radiansFromDegrees as deg } from '../geometry/angle';
import { motionsOf } from '../steps/tree';
import { aMetre, benchSpeed, degrees, errorLength, headingText, number } from '../text/quantities';
import type { InRuns } from './inRun';
import { guess, offBy, onRobot, plusMinusShare, withErrors, type Source } from './source';
import { drivesByEncoders } from './uses';

/** What a square path leaves open of track and wheels, where its calibration does not say. */
const TRACK_AFTER_SQUARE = 0.004;
const WHEELS_AFTER_SQUARE = 0.0003;
/** What an earlier method claims to know better than this of a scale, it does not. */
const EARLIER_METHOD = 0.003;
/** A sideways pull of 0.5° a metre, as a difference of the wheels over a usual track of 0.13 m. */
const WHEELS_DIFFER = deg(0.5) * 0.13;
/** What a drive by the encoders may roll on by. */
const COAST_M = 0.003;
/** Batteries in use differ by so much, V: charged before every other run, say. */
const CHARGE_V = 0.2;

/** Drives by the encoders go on for so much longer than foreseen. */
const rollsOn: InRuns =
  ({ plan }) =>
  (run) => ({
    lateM: (motion) => (drivesByEncoders(plan[motion]?.step) ? run.off : 0),
  });

/** What may be off about how the wheels carry a robot. */
export const WHEELS: readonly Source[] = [
  {
    name: 'wheel size',
    level: 'robot',
    measuredBy: 'straight',
    doubt: (values) => {
      const straight = calibrationOf(values, 'straight');
      if (straight === null) return guess(0.01);
      const { scaleFactorSe, atMid } = straight;
      return atMid === undefined
        ? { sdRobot: Math.max(scaleFactorSe, EARLIER_METHOD), measured: true }
        : { sdRobot: scaleFactorSe, measured: true, aboutM: atMid.distanceM };
    },
    figure: ({ wheelDiameterM }) => errorLength(wheelDiameterM, 1),
    within: plusMinusShare,
    sample: (one, share, { name, aboutM = 0 }) =>
      withErrors(offBy(one, name, -share * aboutM), {
        wheelScaleError: one.robot.errors.wheelScaleError + share,
      }),
    inRuns: rollsOn,
  },
  {
    name: 'coast of drives',
    level: 'robot',
    measuredBy: 'straight',
    touches: ({ steps }) => motionsOf(steps).some(drivesByEncoders),
    doubt: (values) => {
      const straight = calibrationOf(values, 'straight');
      if (straight === null) return guess(COAST_M);
      return { sdRobot: straight.atMid?.seM ?? straight.residualSdM, measured: true };
    },
    figure: ({ program }) => errorLength(program.coastM, 1),
    within: (half) => `± ${errorLength(half, 1)}`,
    inRuns: rollsOn,
  },
  {
    name: 'track width',
    level: 'robot',
    measuredBy: 'square',
    doubt: (values) => {
      const drive = calibrationOf(values, 'drive');
      if (drive === null) return guess(0.02);
      return { sdRobot: drive.trackRatioSe ?? TRACK_AFTER_SQUARE, measured: true };
    },
    figure: ({ trackM }) => errorLength(trackM, 1),
    within: plusMinusShare,
    sample: (one, share) =>
      withErrors(one, { trackScaleError: one.robot.errors.trackScaleError + share }),
  },
  {
    name: 'sideways pull',
    level: 'robot',
    measuredBy: 'square',
    doubt: (values) => {
      const drive = calibrationOf(values, 'drive');
      if (drive === null) return guess(WHEELS_DIFFER);
      return { sdRobot: drive.wheelRatioSe ?? WHEELS_AFTER_SQUARE, measured: true };
    },
    figure: ({ errors, trackM }) =>
      `${headingText(errors.wheelDifference / trackM, 2)} over ${aMetre()}`,
    within: (half, { trackM }) => `± ${degrees(half / trackM, 2)} over ${aMetre()}`,
    sample: (one, share) =>
      withErrors(one, { wheelDifference: one.robot.errors.wheelDifference + share }),
  },
  {
    name: 'top speed',
    level: 'robot',
    measuredBy: 'speed',
    doubt: (values) => {
      const speed = calibrationOf(values, 'speed');
      return speed !== null && tellsTopSpeed(speed)
        ? { sdRobot: speed.residualShare, measured: true }
        : guess(0.05);
    },
    figure: ({ motors }) => benchSpeed(motors.maxSpeedMPerS),
    within: plusMinusShare,
    sample: (one, share) =>
      onRobot(one, (robot) => ({
        ...robot,
        motors: { ...robot.motors, maxSpeedMPerS: robot.motors.maxSpeedMPerS * (1 + share) },
      })),
  },
  {
    // One battery does for several runs, as one sampled robot does.
    name: 'charge of the battery',
    level: 'robot',
    measuredBy: null,
    touches: (_route, robot) => batteryShare(onBattery(robot, CHARGE_V)) !== 1,
    doubt: () => guess(CHARGE_V),
    figure: () => null,
    within: (half) => `± ${number(half, 1)} V`,
    inRuns: () => (run) => ({ moreV: run.off }),
  },
];
