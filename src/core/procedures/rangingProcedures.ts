import { z } from 'zod';
import { speedTable } from '../drive/speedTable';
import { straightProcedure } from './straightProcedure';
import { limits } from '../procedure/limits';
import { shapeOf, valueSchema, valuesSchema } from '../description/schema';
import { READS, WANTED } from '../ranging/description';
import { GAUGE_TRIAL } from '../trials/gauge';
import { RANGE_LIST } from '../trials/lists/distance';
import { RANGE_TRIAL } from '../trials/range';
import { SPEED_TRIAL } from '../trials/speed';
import { SQUARING_TRIAL } from '../trials/squaring';
import { STOP_TRIAL } from '../trials/stop';
import type { NumberValue } from '../description/description';
import { procedure, type Procedure } from '../procedure/procedure';
import { approachPlan, tooClose } from '../ranging/approach';
import { gauge } from '../ranging/gauge';
import { rangeCalibration } from '../ranging/rangeCalibration';
import { stopModel } from '../ranging/stopModel';
import { loopTiming } from '../loop/loopTiming';
import { gainTrace } from '../tuning/gainTrace';
import type { GainJudgement } from '../tuning/judge';
import { wallTrace } from '../tuning/wallTrace';
import { squaring } from '../walls/squaring';

const MAX_TRIALS = 10_000;
const MAX_SAMPLES = 1_000_000;
const name = z.string().max(80);
const tS = z.number().min(-1e9).max(1e9);

/** A sentence where there is nothing to compute from: never a number that looks like a result. */
const orWhy = <T extends object>(found: T | null, why: string): T | { sentence: string } =>
  found ?? { sentence: why };

/** Trials as a procedure takes them: values of a list's trials, within the same limits. */
const trialsOf = <T extends z.ZodType>(trial: T) => z.array(trial).max(MAX_TRIALS);

/** What a list would not take for a slip of the pen, a program may send: a power of 0, a heading that points back. */
const orZero = <F extends NumberValue>({ wanted: _wanted, open: _open, ...share }: F) => share;
const anyHeading = <F extends NumberValue>(field: F) => ({ ...field, min: -3.2, max: 3.2 });

const { power, timeS, beforeRad, afterRad } = SQUARING_TRIAL.fields;
const squaringInput = z.strictObject({
  trials: trialsOf(
    valuesSchema({
      power: orZero(power),
      timeS,
      beforeRad: anyHeading(beforeRad),
      afterRad: anyHeading(afterRad),
    }),
  ),
});
const loopInput = z.strictObject({ tS: z.array(tS).max(MAX_SAMPLES) });

const { trueM, readingM } = shapeOf(RANGE_TRIAL.fields);

export const rangeInput = z.strictObject({
  readings: trialsOf(
    z.strictObject({
      unit: name,
      trueM,
      readingM: readingM.unwrap().describe('null: the echo was lost'),
    }),
  ),
  toleranceM: valueSchema(RANGE_LIST.toleranceM),
});

const approachInput = valuesSchema({ ...WANTED, ...READS });

const { by: _by, ...stop } = STOP_TRIAL.fields;
const speedMPerS = valueSchema(stop.speedMPerS);

export const stopInput = z.strictObject({
  trials: trialsOf(valuesSchema(stop)),
  wantedM: valueSchema(stop.stopM),
  at: z.array(speedMPerS).max(1000).default([]),
  readToM: limits.readToM,
});

const { batteryV } = SPEED_TRIAL.fields;
const command = orZero(SPEED_TRIAL.fields.command);
const speedInput = z.strictObject({
  trials: trialsOf(valuesSchema({ ...SPEED_TRIAL.fields, command })),
  at: z.array(valuesSchema({ command, batteryV })).max(1000).default([]),
});

const gaugeInput = z.strictObject({
  readings: trialsOf(
    z.strictObject({
      part: z.union([name, z.number()]).transform(String),
      person: z.union([name, z.number()]).transform(String),
      valueM: valueSchema(GAUGE_TRIAL.fields.valueM),
    }),
  ),
});

const correctionRadPerS = z.number().min(-1000).max(1000);

const gainInput = z.strictObject({
  samples: z
    .array(z.strictObject({ tS, errorRad: z.number().min(-1e4).max(1e4), correctionRadPerS }))
    .max(MAX_SAMPLES),
});

const wallInput = z.strictObject({
  samples: z
    .array(z.strictObject({ tS, readingM: readingM.unwrap(), correctionRadPerS }))
    .max(MAX_SAMPLES),
  targetM: trueM,
  wallSide: z.enum(['left', 'right']),
});

const TOO_SHORT =
  'This trace shows no disturbance and what came of it: push the robot (or start it off its target), and log five seconds from then on.';

const judged = (found: GainJudgement | null) =>
  orWhy(
    found && {
      verdict: found.verdict,
      proposedGainFactor: found.proposedGainFactor,
      returnS: found.swings.returnS,
      decay: found.swings.decay,
      saturatedShare: found.saturatedShare,
      swings: found.swings.swings,
    },
    TOO_SHORT,
  );

const inOrder = <T extends { tS: number }>(samples: readonly T[]): T[] =>
  samples.toSorted((a, b) => a.tS - b.tS);

/** Procedures of straight drives, distance sensors, stops and gains. */
export const rangingProcedures: readonly Procedure[] = [
  straightProcedure,
  procedure(
    'speed-table',
    'speed at a share of full power and a battery voltage, and the dead band',
    speedInput,
    ({ trials, at }) => {
      const found = speedTable(trials);
      if (found === null) {
        return {
          sentence:
            'Three timed drives that moved are needed, at commands that differ by a twentieth of full power at least.',
        };
      }
      const { at: speedAt, ...figures } = found;
      return { ...figures, speeds: at.map((one) => speedAt(one.command, one.batteryV)) };
    },
  ),
  procedure(
    'range-calibration',
    'offset, scale, noise, lost echoes and tolerance of distance sensors against a tape',
    rangeInput,
    ({ readings, toleranceM }) =>
      orWhy(
        rangeCalibration(readings, toleranceM),
        'Two readings of one unit that heard an echo are needed.',
      ),
  ),
  procedure(
    'approach',
    'the threshold at which to stop for a wanted gap before a wall, and the scatter to expect',
    approachInput,
    (input) =>
      orWhy(
        tooClose(input) === null ? approachPlan(input) : null,
        tooClose(input) ??
          'The robot cannot stop in time: the wanted gap and its way to stop are longer than the start gap. Start further away, or drive slower.',
      ),
  ),
  procedure(
    'stop-model',
    'lag and braking of stops, and the thresholds for a wanted gap',
    stopInput,
    ({ trials, wantedM, at, readToM }) => {
      const found = stopModel(trials, readToM);
      if (found === null) return { sentence: 'Two stops at least are needed.' };
      const { overrunM, ...figures } = found;
      const thresholds = at.map((speed) => ({
        speedMPerS: speed,
        thresholdM: wantedM + overrunM(speed),
      }));
      return { ...figures, thresholds };
    },
  ),
  procedure(
    'gauge',
    'how much of the scatter of readings is the measuring: repeatability and reproducibility',
    gaugeInput,
    ({ readings }) =>
      orWhy(
        gauge(readings),
        'Two parts, two persons and two readings of each are needed, and every person reads every part as often.',
      ),
  ),
  procedure(
    'squaring',
    'how fast pressing against a wall straightens a robot, and what stays',
    squaringInput,
    ({ trials }) =>
      orWhy(
        squaring(trials),
        'Three trials at least are needed, two of them with one power and a heading that was off before.',
      ),
  ),
  procedure(
    'loop-timing',
    'the period of a loop by its time stamps: mean, usual and worst',
    loopInput,
    ({ tS }) =>
      orWhy(
        loopTiming(tS.toSorted((a, b) => a - b)),
        'Two different time stamps at least are needed.',
      ),
  ),
  procedure(
    'gain-trace',
    'whether the gain of a heading controller is good, and the next one',
    gainInput,
    ({ samples }) => {
      const sorted = inOrder(samples);
      return judged(
        gainTrace({
          tS: sorted.map((one) => one.tS),
          error: sorted.map((one) => one.errorRad),
          correction: sorted.map((one) => one.correctionRadPerS),
        }),
      );
    },
  ),
  procedure(
    'wall-trace',
    'whether the gain of following a wall is good, and the next one',
    wallInput,
    ({ samples, targetM, wallSide }) => {
      const heard = inOrder(samples).flatMap(({ readingM, ...one }) =>
        readingM === null ? [] : [{ ...one, readingM }],
      );
      return judged(
        wallTrace(
          {
            tS: heard.map((one) => one.tS),
            readingM: heard.map((one) => one.readingM),
            correctionRadPerS: heard.map((one) => one.correctionRadPerS),
          },
          targetM,
          wallSide,
        ),
      );
    },
  ),
];
