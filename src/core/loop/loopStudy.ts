import { radiansFromDegrees } from '../geometry/angle';
import { whereRead, type ChannelLog } from '../channels/log';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { counted, degrees, number, percent } from '../text/quantities';
import { loopTiming, missedShare, stepPerRound, type LoopTiming } from './loopTiming';
import { motorLag, type MotorLag } from './motorLag';
import { sensorLag, type SensorLag } from './sensorLag';

/** Programs wait for whole degrees. */
const WHOLE_DEGREE_RAD = radiansFromDegrees(1);
/** Rounds that differ by less than this are alike. */
const ALIKE = 1.1;
/** A lag that is shorter than this share of a round is none that the log can show. */
const SHOWN = 0.5;

export interface LoopStudy {
  timing: LoopTiming;
  /** Of the heading sensor against the encoders; null where the log does not show it. */
  lag: SensorLag | null;
  /** Of the motors; null where the log shows none of their starts. */
  motors: MotorLag | null;
  sentences: ThreeSentences;
}

const milliseconds = (seconds: number, decimals = 0) => `${number(1000 * seconds, decimals)} ms`;

/** How much later the heading tells of turns than the encoders; their difference need not be scaled for that. */
function lagOf(log: ChannelLog, periodS: number): SensorLag | null {
  const keys = ['headingRad', 'leftMotorDegrees', 'rightMotorDegrees'];
  if (keys.some((key) => log.columns[key] === undefined)) return null;
  const { tS, columns } = whereRead(log, keys);
  const { headingRad, leftMotorDegrees, rightMotorDegrees } = columns;
  if (headingRad === undefined || leftMotorDegrees === undefined) return null;
  const turned = leftMotorDegrees.map((left, i) => (rightMotorDegrees?.[i] ?? 0) - left);
  return sensorLag(tS, headingRad, turned, periodS);
}

function lagSentence(lag: SensorLag | null, rateRadPerS: number, periodS: number): string {
  if (lag === null)
    return ' How late the heading sensor tells, this log does not show: it takes turns, with heading and motors in the log.';
  if (Math.abs(lag.lagS) < SHOWN * periodS) {
    return ' Its heading sensor and its encoders tell of a turn in the same round.';
  }
  const [late, early] =
    lag.lagS > 0 ? ['heading sensor', 'encoders'] : ['encoders', 'heading sensor'];
  return ` Its ${late} tell${late === 'encoders' ? '' : 's'} of a turn ${milliseconds(Math.abs(lag.lagS))} after the ${early}: ${degrees(Math.abs(lag.lagS) * rateRadPerS)} of such a turn.`;
}

/** How long the motors take to come to their speed, where the log shows it. */
function motorSentence(motors: MotorLag | null): string {
  if (motors === null) return '';
  const { lagS, low95S, high95S, starts } = motors;
  if (lagS === null) {
    return ' Its motors start gradually: the program ramps them, and their own lag does not show.';
  }
  const range =
    low95S === null || high95S === null
      ? `, by ${counted(starts, 'start')}`
      : ` (${milliseconds(low95S)} to ${milliseconds(high95S)})`;
  return ` Its motors come to 63 % of their speed within ${milliseconds(lagS)}${range}: that is their lag, for the robot’s record.`;
}

/** What a round costs a program that waits for a heading while it turns; without the full stop. */
export function equalitySentence(rateRadPerS: number, periodS: number): string {
  const step = stepPerRound(rateRadPerS, periodS);
  const missed = missedShare(rateRadPerS, periodS, WHOLE_DEGREE_RAD);
  const equality =
    missed > 0
      ? `a program that waits for one whole degree (=) misses it ${percent(missed)} of the time, so use ≥ or ≤, never =`
      : 'still use ≥ or ≤ and never =: one late round is enough to miss a value';
  return `At ${degrees(rateRadPerS, 0)}/s the heading moves ${degrees(step)} from one round to the next: ${equality}`;
}

/** A period, or a lag of the motors, that was measured. */
export interface MeasuredLoop {
  periodS: number;
  motorLagS: number | null;
}

/** A record that is off by less than this share is right. */
const RIGHT = 0.02;

/** What a robot's record has otherwise than it was measured, in words for a button; null where nothing. */
export function offInRecord(
  { periodS, motorLagS }: MeasuredLoop,
  record: { loopPeriodS: number; motors: { lagS: number } },
): string | null {
  const isOff = (measured: number, recorded: number) => Math.abs(measured / recorded - 1) > RIGHT;
  const off = [
    ...(isOff(periodS, record.loopPeriodS) ? [`a period of ${milliseconds(periodS, 1)}`] : []),
    ...(motorLagS !== null && isOff(motorLagS, record.motors.lagS)
      ? [`a lag of the motors of ${milliseconds(motorLagS)}`]
      : []),
  ];
  return off.length === 0 ? null : `Put ${off.join(' and ')} into the record`;
}

/**
 * What the time stamps of a log say about the program's loop, and what that does to a program that waits for a
 * heading while it turns at a rate.
 *
 * @returns null where the log has no two moments
 */
export function loopStudy(log: ChannelLog, rateRadPerS: number): LoopStudy | null {
  const timing = loopTiming(log.tS);
  if (timing === null) return null;
  const { meanS, medianS, worstS, worstAtS, late, rounds } = timing;
  const lag = lagOf(log, medianS);
  const motors = motorLag(log);
  return {
    timing,
    lag,
    motors,
    sentences: {
      found:
        worstS < ALIKE * medianS
          ? `The loop comes round every ${milliseconds(meanS, 1)}, one round like the other.`
          : `The loop comes round every ${milliseconds(meanS, 1)}; the slowest round took ${milliseconds(worstS, 1)}, at ${number(worstAtS, 1)} s of the log.`,
      means: `${equalitySentence(rateRadPerS, meanS)}.${lagSentence(lag, rateRadPerS, medianS)}${motorSentence(motors)}`,
      next:
        late > 0
          ? `${counted(late, 'round')} of ${rounds} took more than twice as long as usual: look what the program does then (writing, showing, waiting), and do it between two drives.`
          : 'It is regular: put this period into the robot’s record, the Course then computes with it.',
    },
  };
}
