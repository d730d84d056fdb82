import type { RangeCalibration } from '../calibrationValues/range';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import type { Robot } from '../robot/robot';
import { benchLength, benchSpeed, errorLength, number } from '../text/quantities';
import { lookingAhead, devicesOf } from '../devices/ofRobot';
import { approachPlan, type ApproachAnswer, type ApproachPlan } from './approach';
import type { StopKind } from './stopsBy';
import { roundingSdM } from './readingStep';
import { stopModel, type StopModel, type StopTrial } from './stopModel';

/** Brakes that no speed shows: they hold at once, as far as the trials tell. */
const AT_ONCE_M_PER_S2 = 100;

/** What is wanted of an approach, and how its program reads. */
export interface Wanted {
  wantedM: number;
  speedMPerS: number;
  confirmations: number;
  startGapM: number;
  samplePeriodS: number;
}

/** How a distance sensor reads: as it was measured, or else as the record says. */
export type Reads = Pick<ApproachPlan, 'offsetM' | 'scaleFactor' | 'noiseM'>;

export function readsOf(robot: Robot, measured: RangeCalibration | null): Reads {
  if (measured !== null) {
    // On a step that is wider than its scatter, a reading is as far off as rounding makes it.
    const { noiseM, quantumM = 0 } = measured;
    return { ...measured, noiseM: Math.max(noiseM, roundingSdM(quantumM)) };
  }
  const behaviour = devicesOf(robot, 'distance sensor')[0]?.behaviour;
  return {
    offsetM: behaviour?.offsetM ?? 0,
    scaleFactor: behaviour?.scale ?? 1,
    noiseM: behaviour?.noiseM ?? 0,
  };
}

/** What the sensor that looks ahead reads at a gap from the bumper: it may sit behind or before it. */
export function readingAtGap(robot: Robot, { offsetM, scaleFactor }: Reads, gapM: number): number {
  const aheadM = lookingAhead(robot)?.place.aheadM ?? robot.body.frontM;
  return offsetM + scaleFactor * (gapM + robot.body.frontM - aheadM);
}

/**
 * An approach by the stops that were measured and how the sensor reads. The measured lag holds the wait for the next reading already: half a period of it is what the approach reckons with by itself.
 */
export const planFrom = (model: StopModel, reads: Reads, wanted: Wanted): ApproachPlan => ({
  ...wanted,
  offsetM: reads.offsetM,
  scaleFactor: reads.scaleFactor,
  noiseM: reads.noiseM,
  latencyS: Math.max(0, model.lagS - wanted.samplePeriodS / 2),
  brakingMPerS2: model.brakingMPerS2 ?? AT_ONCE_M_PER_S2,
});

export const approachFrom = (
  model: StopModel,
  reads: Reads,
  wanted: Wanted,
): ApproachAnswer | null => approachPlan(planFrom(model, reads, wanted));

const milliseconds = (seconds: number): string => `${number(1000 * seconds)} ms`;

/** What stops say, in three sentences. */
export function stopSentences(
  model: StopModel,
  trials: readonly StopTrial[],
  by: StopKind,
): ThreeSentences {
  const fastest = Math.max(...trials.map(({ speedMPerS }) => speedMPerS));
  const slowest = Math.min(...trials.map(({ speedMPerS }) => speedMPerS));
  const { lagS, lagLow95S, lagHigh95S, residualSdM, overrunM } = model;
  const interval = Number.isFinite(lagHigh95S)
    ? ` (${milliseconds(lagLow95S)} to ${milliseconds(lagHigh95S)})`
    : '';
  const scatter = Number.isFinite(residualSdM)
    ? ` Single stops scatter by ${errorLength(residualSdM, 1)}.`
    : '';
  const past = (speed: number) => `${errorLength(overrunM(speed))} past it at ${benchSpeed(speed)}`;
  const speeds = fastest === slowest ? [fastest] : [slowest, fastest];
  return {
    found: `Told to stop at its ${by === 'distance' ? 'threshold' : 'mark'}, it stands ${speeds.map(past).join(' and ')}.`,
    means: `Before it brakes it drives on for ${milliseconds(lagS)}${interval}.${scatter}`,
    next:
      fastest < 1.5 * slowest
        ? 'Stop from another speed as well, half as fast or twice: then lag and braking are told apart.'
        : by === 'distance'
          ? 'Say below what gap is wanted: the threshold follows.'
          : 'Plan with that: let it look for its mark so much earlier, or drive slower to it.',
  };
}

/** What to tell a program that is to stop before a wall, in a sentence. */
export function approachSentence(answer: ApproachAnswer | null, wanted: Wanted): string {
  if (answer === null) {
    return `It cannot stop ${benchLength(wanted.wantedM)} before the wall: its way to stop is longer than what is left of the start gap. Drive slower, or start further away.`;
  }
  const { thresholdReadingM, gapSdM, gapLow95M, gapHigh95M, timeOutS } = answer;
  return `Tell it to stop when it reads ${errorLength(thresholdReadingM)} or less. Then it stands ${errorLength(wanted.wantedM)} before the wall, ± ${errorLength(gapSdM, 1)} by the sensor alone (95 of 100 between ${errorLength(gapLow95M)} and ${errorLength(gapHigh95M)}); after ${number(timeOutS, 1)} s without that it has failed.`;
}

export interface StopStudy {
  model: StopModel;
  sentences: ThreeSentences;
}

export function stopStudy(
  trials: readonly StopTrial[],
  by: StopKind = 'distance',
  readToM: number | null = null,
): StopStudy | null {
  const model = stopModel(trials, readToM);
  return model && { model, sentences: stopSentences(model, trials, by) };
}
