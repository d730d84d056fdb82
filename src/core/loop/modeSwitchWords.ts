import type { ThreeSentences } from '../gyro/still/stillSentence';
import type { Rate } from '../detection/errorRate';
import { benchSpeed, counted, errorLength, number } from '../text/quantities';
import { bothModesApartS } from './modeSwitch';

/** A robot at which a program looks in both modes. */
export interface SwitchedAt {
  sensorPeriodS: number;
  speedMPerS: number;
}

const ms = (seconds: number): string => `${number(1000 * seconds)} ms`;

/** What switching costs, in three sentences. */
export function switchSentences(
  time: Rate,
  oldReadings: number,
  { sensorPeriodS, speedMPerS }: SwitchedAt,
): ThreeSentences {
  const apartS = bothModesApartS(time.value, oldReadings, sensorPeriodS);
  const old =
    oldReadings === 0
      ? 'none of its readings after that is old'
      : `the first ${oldReadings === 1 ? 'reading' : counted(oldReadings, 'reading')} after that still ${oldReadings === 1 ? 'is' : 'are'} of before`;
  return {
    found: `Switching takes ${ms(time.value)} (${number(1000 * time.low95)} to ${ms(time.high95)}); ${old}.`,
    means: `A program that looks in both modes has a new reading of each only every ${ms(apartS)}: at ${benchSpeed(speedMPerS)} it drives ${errorLength(apartS * speedMPerS)} in between.`,
    next:
      oldReadings === 0
        ? 'Keep to one mode while it drives, or reckon with that time: “Crossing a line” does, once it is applied.'
        : `After each switch throw ${oldReadings === 1 ? 'one reading' : counted(oldReadings, 'reading')} away; and keep to one mode while it drives. “Crossing a line” reckons with it once it is applied.`,
  };
}
