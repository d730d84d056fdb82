import type { Robot } from '../robot/robot';

/** How far a wheel rolls on from a speed when it is told to stand: braking as hard as it can, then as its lag lets it. */
export function rollOutM(
  { lagS, maxAccelerationMPerS2 }: Robot['motors'],
  speedMPerS: number,
): number {
  const gentleMPerS = Math.min(speedMPerS, maxAccelerationMPerS2 * lagS);
  return (speedMPerS ** 2 - gentleMPerS ** 2) / (2 * maxAccelerationMPerS2) + gentleMPerS * lagS;
}

/**
 * How far a robot goes on, in the mean, after what its sensor looks at has passed a threshold, as it is recorded: until
 * the sensor reads anew and the loop looks at it, any moment being equally likely, and until its wheels stand.
 *
 * @param sensorPeriodS how long the sensor keeps a reading
 * @param wayM until then: on a way as short as that it has not come to a speed from which it would roll out further
 */
export function meanStopM(
  robot: Robot,
  sensorPeriodS: number,
  speedMPerS: number,
  wayM: number,
): number {
  const { loopPeriodS, motors } = robot;
  const looksEveryS = Math.ceil(sensorPeriodS / loopPeriodS - 1e-9) * loopPeriodS;
  return (
    (speedMPerS * Math.max(loopPeriodS, looksEveryS)) / 2 +
    Math.min(wayM, rollOutM(motors, speedMPerS))
  );
}
