import { speedOf, tellsTopSpeed } from '../../../program/speedOf';
import { benchSpeed, number, percent } from '../../../text/quantities';
import type { CalibrationKindOf } from '../../kind';
import type { SpeedCalibration } from '../../../calibrationValues/speed';

/** A drive that stands for a speed lasts so long. */
const ONE_S = 1;

export const speed: CalibrationKindOf<SpeedCalibration> = {
  kind: 'speed',
  name: 'speed at a power',
  unit: null,
  measuredBy: { procedure: 'speed', words: 'Time drives at two powers' },
  restsOn: ['motors', 'wheels and track'],
  describe: (value) =>
    `${benchSpeed(speedOf(value, value.highestCommand, value.batteryV))} at ${percent(value.highestCommand)} and ${number(value.batteryV, 1)} V, stands below ${percent(value.deadBand)}`,
  fit: (robot, value) => {
    const { lowestCommand, highestCommand, batteryV } = value;
    const timed = (command: number) => ({
      percent: 100 * command,
      distanceM: speedOf(value, command, batteryV) * ONE_S,
      durationS: ONE_S,
    });
    return {
      ...robot,
      motors: {
        ...robot.motors,
        ...(tellsTopSpeed(value) && { maxSpeedMPerS: speedOf(value, 1, batteryV) }),
      },
      measured: {
        ...robot.measured,
        power: {
          gainMPerSPerV: value.gainMPerSPerV,
          deadBand: value.deadBand,
          batteryV,
          nowV: batteryV,
        },
      },
      // In between it is a straight line, so its ends tell all of it.
      program: { ...robot.program, speeds: [timed(lowestCommand), timed(highestCommand)] },
    };
  },
};
