import { speedOf } from '../program/speedOf';
import type { Robot } from '../robot/robot';
import { benchSpeed, degrees, errorLength, headingText, number, percent } from '../text/quantities';
import { degreesFromRadians } from '../geometry/angle';
import { runBenchProgram } from './program';
import { headingOf, devicesOf, withHeading } from '../devices/ofRobot';
import { stopPhysics } from '../turns/stopPhysics';
import { turnPoint } from '../turns/trial';
import type { StandInTruth } from './truth';

/**
 * How late a stand-in's turns stop, all causes together: its simulated turns without any scatter,
 * fitted as the trials would be.
 */
export function effectiveStop({ robot }: StandInTruth) {
  const exact = {
    ...withHeading(robot, {
      noiseRadPerSqrtS: 0,
      scaleError: 0,
      quantumRad: 0,
      driftRadPerS: 0,
    }),
    errors: { ...robot.errors, slipMPerSqrtM: 0 },
  };
  const points = [0.8, 1.2, 1.6, 2.2, 2.8, 3.2].map((rateRadPerS) => {
    const target = 2.5;
    const step = {
      kind: 'turn' as const,
      angleRad: target,
      how: { school: 'stop-early' as const, rateRadPerS, leadRad: 0 },
    };
    const actual = runBenchProgram(exact, [step], 1).at(-1)?.pose.headingRad ?? target;
    return turnPoint({ targetRad: target, actualRad: actual, rateRadPerS, kind: 'spin' }, 0);
  });
  return stopPhysics(points);
}

/** How its motors take power, and what a wall does to it. */
function powerSecrets({ measured: { power, squaring } }: Robot) {
  if (power === null || squaring?.straightensPerM == null) return [];
  const fullMPerS = speedOf(power, 1, power.batteryV);
  return [
    {
      name: `Full power drives, at ${number(power.batteryV, 1)} V`,
      value: benchSpeed(fullMPerS, 1),
    },
    { name: 'Stands below a power of', value: percent(power.deadBand) },
    {
      name: 'Pressed with full power, an angle to a wall halves in',
      value: `${number((1000 * Math.LN2) / (squaring.straightensPerM * fullMPerS))} ms`,
    },
  ];
}

/** What was hidden about a stand-in, in words. */
export function secretsOf(truth: StandInTruth): { name: string; value: string }[] {
  const { robot, signs } = truth;
  const sensor = headingOf(robot);
  const { lagS, brakingRadPerS2 } = effectiveStop(truth);
  const percentOf = (share: number) => `${number(share * 100, 2)} %`;
  const growing = (sign: number) => (sign > 0 ? 'grows' : 'shrinks');
  return [
    { name: 'Turns stop late by', value: lagS === null ? '–' : `${number(lagS * 1000)} ms` },
    {
      name: 'Turning is braked with',
      value: brakingRadPerS2 === null ? '–' : `${degrees(brakingRadPerS2, 0)}/s²`,
    },
    ...(sensor === null
      ? []
      : [
          { name: 'Gyro reads a turn too large by', value: percentOf(sensor.scaleError) },
          {
            name: 'Drift when switched on in the hand, about',
            value: `${number(degreesFromRadians(truth.handDriftRadPerS), 2)} °/s`,
          },
        ]),
    ...powerSecrets(robot),
    {
      name: 'Start jig is turned by',
      value: headingText(truth.jigAim.headingRad),
    },
    { name: 'Track wider than recorded by', value: percentOf(robot.errors.trackScaleError) },
    { name: 'Right wheel larger by', value: percentOf(robot.errors.wheelDifference) },
    { name: 'Wheels larger than recorded by', value: percentOf(robot.errors.wheelScaleError) },
    ...devicesOf(robot, 'distance sensor').map(({ label, behaviour }) => ({
      name: `Distance sensor ${label} reads long by`,
      value: errorLength(behaviour.offsetM),
    })),
    {
      name: 'Distance sensors lose echoes below',
      value: `${number(truth.echoesFailBelowV, 1)} V`,
    },
    { name: 'Raw heading, turning left', value: growing(signs.heading) },
    { name: 'Raw left motor, rolling forward', value: growing(signs.leftMotor) },
    { name: 'Raw right motor, rolling forward', value: growing(signs.rightMotor) },
  ];
}
