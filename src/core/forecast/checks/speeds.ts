import { lineSpeed } from '../../light/lineSpeed';
import { COMMAND_WAYS } from '../../program/commands';
import { kindOfStep } from '../../steps/registry';
import { unitOrFirst } from '../../steps/unitNamed';
import { benchLength, benchSpeed } from '../../text/quantities';
import type { Check } from './check';

/** A line begins where so much of the spot lies on it: the middle, and a little hysteresis. */
const ENTERS_AT = 0.6;
/** Speeds are set in steps of a centimetre a second, downwards. */
const ROUNDED_M_PER_S = 0.01;

/** A line is looked at while the sensor is on it. */
export const lineTooFast: Check = ({ step }, { robot, table }) => {
  const crossing = kindOfStep(step).crossesLines?.(step) ?? null;
  const unit = crossing && unitOrFirst(robot, 'light sensor', crossing.sensor);
  const widths = table.lines.map(({ widthM }) => widthM);
  if (crossing === null || unit === null || widths.length === 0) return [];
  const lineWidthM = Math.min(...widths);
  const { speedMPerS } = lineSpeed({
    lineWidthM,
    loopPeriodS: robot.loopPeriodS,
    sensorPeriodS: unit.behaviour.periodS,
    spotM: unit.behaviour.spotDiameterM,
    readings: 1,
    share: ENTERS_AT,
  });
  if (crossing.speedMPerS <= speedMPerS) return [];
  const safe = Math.floor(speedMPerS / ROUNDED_M_PER_S) * ROUNDED_M_PER_S;
  return [
    {
      problem: 'line-too-fast',
      sentence: `At ${benchSpeed(crossing.speedMPerS)} a line of ${benchLength(lineWidthM)} may be passed between two readings of ${unit.label}.`,
      ...(safe > 0 && {
        mend: { words: `Drive at ${benchSpeed(safe)}`, step: crossing.withSpeed(safe) },
      }),
    },
  ];
};

/** What is told as a power was timed. */
export const notTimed: Check = ({ step }, { robot }) => {
  const { command } = robot.program;
  const { speed } = kindOfStep(step).inProgram;
  if (command === null || speed === undefined || !COMMAND_WAYS[command].isPower) return [];
  if (speed.commanded(step, robot, command) !== null) return [];
  return [
    {
      problem: 'not-timed',
      sentence: 'Nobody has timed the robot at such a speed: which power that is, is a guess.',
    },
  ];
};
