import type { Rate } from '../detection/errorRate';
import { shownStep } from '../detection/shownStep';
import { twoClasses } from '../detection/twoClasses';
import { wilson } from '../stats/wilson';

/** How something in the way is noticed by a reading. */
export interface Presence {
  /** Whether readings are lower or higher when something is there; null where an echo alone tells. */
  thereIs: 'lower' | 'higher' | null;
  /** Null: every reading counts, and none at all means that nothing is there. */
  threshold: number | null;
  /** What a reading has to pass to count as there, and as gone. */
  enter: number | null;
  leave: number | null;
  separability: number | null;
  missRate: Rate;
  falseRate: Rate;
  /** Of what is there, how many looks brought nothing back. */
  lost: number;
  /** In which readings are shown. */
  step: number;
}

const rateOf = (of: number, n: number): Rate => {
  const found = wilson(of, n);
  return found === null
    ? { value: Number.NaN, low95: 0, high95: 1 }
    : { value: found.rate, low95: found.low95, high95: found.high95 };
};

/** Either happens: of what the first leaves, the second takes its share. */
const either = (a: Rate, b: Rate): Rate => ({
  value: a.value + (1 - a.value) * b.value,
  low95: a.low95 + (1 - a.low95) * b.low95,
  high95: a.high95 + (1 - a.high95) * b.high95,
});

/** Both happen. */
const both = (a: Rate, b: Rate): Rate => ({
  value: a.value * b.value,
  low95: a.low95 * b.low95,
  high95: a.high95 * b.high95,
});

const opposite = ({ value, low95, high95 }: Rate): Rate => ({
  value: 1 - value,
  low95: 1 - high95,
  high95: 1 - low95,
});

/** What a sensor read; null: nothing came back. */
export type ReadingOrNone = number | null;

const read = (readings: readonly ReadingOrNone[]): number[] =>
  readings.filter((one) => one !== null);

/** Of readings, what came back at all; certain where nothing was ever lost. */
function echoRate(readings: readonly ReadingOrNone[], isCertain: boolean): Rate {
  if (isCertain) return { value: 1, low95: 1, high95: 1 };
  return rateOf(read(readings).length, readings.length);
}

/**
 * Whether something is there, by a reading: from samples with and without it. Where nothing comes back nothing is there, so
 * a lost echo is a miss.
 *
 * @throws RangeError without a sample of either, or where nothing that was there gave a reading
 */
export function presence(
  there: readonly ReadingOrNone[],
  absent: readonly ReadingOrNone[],
): Presence {
  if (absent.length === 0) throw new RangeError('A sample without anything there is needed.');
  const [seen, empty] = [read(there), read(absent)];
  if (seen.length === 0) throw new RangeError('A reading with something there is needed.');
  const isCertain = seen.length === there.length && empty.length === absent.length;
  const lost = opposite(echoRate(there, isCertain));
  const echoes = echoRate(absent, isCertain);
  if (empty.length === 0) {
    const nothing = {
      thereIs: null,
      threshold: null,
      enter: null,
      leave: null,
      separability: null,
    };
    const step = shownStep(seen);
    return { ...nothing, missRate: lost, falseRate: echoes, lost: lost.value, step };
  }
  const found = twoClasses({ values: seen }, { values: empty });
  const { firstIsLow: isLower, rates, toLow, toHigh } = found;
  return {
    thereIs: isLower ? 'lower' : 'higher',
    threshold: found.threshold,
    enter: isLower ? toLow : toHigh,
    leave: isLower ? toHigh : toLow,
    separability: found.separability,
    missRate: either(lost, isLower ? rates.low : rates.high),
    falseRate: both(echoes, isLower ? rates.high : rates.low),
    lost: lost.value,
    step: found.step,
  };
}

/** Passes by something and past nothing, and how often each was taken for something. */
export interface PassCounts {
  passes: number;
  caught: number;
  absentPasses: number;
  falseAlarms: number;
}

/** What counted passes tell where nothing was logged: how often it is missed, and how often seen where nothing is. */
export const presenceFromPasses = ({
  passes,
  caught,
  absentPasses,
  falseAlarms,
}: PassCounts): { missRate: Rate; falseRate: Rate } => ({
  missRate: rateOf(passes - caught, passes),
  falseRate: rateOf(falseAlarms, absentPasses),
});
