import { whereRead, type ChannelLog } from '../channels/log';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { median } from '../stats/median';
import { wilson, type SuccessRate } from '../stats/wilson';
import { counted, number, percent } from '../text/quantities';

/** Echoes that came and that were lost while the battery had about a voltage. */
export interface LostAtVolts {
  /** The middle of the band of voltages. */
  volts: number;
  /** `successes` are the lost ones. */
  lost: SuccessRate;
}

export interface LostEchoes {
  bands: LostAtVolts[];
  /** Change the battery at this voltage: below it more than 1 % are shown to be lost; null: not shown at any. */
  changeAtV: number | null;
  sentences: ThreeSentences;
}

/** Voltages that differ by less count together. */
const BAND_V = 0.1;
/** More lost echoes than this are too many. */
export const TOO_MANY_LOST = 0.01;
/** Fewer echoes of a band tell nothing. */
const LEAST = 20;
/** A sensor of which most echoes are missing looks at nothing. */
const LOOKS_AT_NOTHING = 0.9;
const ROUNDING = 1e-9;

/** Which readings of a channel were due: a program may read a sensor only every so many rounds. */
function dueEvery(values: Float64Array): number {
  const read = Array.from(values.keys()).filter((i) => !Number.isNaN(values[i]));
  const steps = read.slice(1).map((at, i) => at - (read[i] ?? at));
  return steps.length === 0 ? 1 : Math.max(1, Math.round(median(steps)));
}

/** How many were due and lost in each band of voltages, from the weakest battery up. */
function bandsOf(volts: Float64Array, distances: Float64Array): LostAtVolts[] {
  const every = dueEvery(distances);
  const bands = new Map<number, { all: number; came: number }>();
  for (const [i, value] of volts.entries()) {
    const key = Math.floor(value / BAND_V + ROUNDING);
    const band = bands.get(key) ?? { all: 0, came: 0 };
    band.all += 1;
    if (!Number.isNaN(distances[i])) band.came += 1;
    bands.set(key, band);
  }
  return [...bands]
    .sort(([a], [b]) => a - b)
    .flatMap(([key, { all, came }]) => {
      const due = Math.max(came, Math.round(all / every));
      const lost = due < LEAST ? null : wilson(due - came, due);
      return lost === null ? [] : [{ volts: (key + 0.5) * BAND_V, lost }];
    });
}

/**
 * Bands joined until the weaker battery never loses less: what is left is the likeliest course of a share that can
 * only grow as the battery sags.
 *
 * Source: pool adjacent violators; Barlow et al., Statistical Inference under Order Restrictions, 1972, section 1.2.
 */
function pooled(bands: readonly LostAtVolts[]) {
  const blocks: { topV: number; lost: number; due: number }[] = [];
  for (const { volts, lost } of bands) {
    blocks.push({ topV: volts + BAND_V / 2, lost: lost.successes, due: lost.n });
    for (;;) {
      const [before, last] = blocks.slice(-2);
      if (before === undefined || last === undefined) break;
      if (before.lost / before.due >= last.lost / last.due) break;
      blocks.splice(-2, 2, {
        topV: last.topV,
        lost: before.lost + last.lost,
        due: before.due + last.due,
      });
    }
  }
  return blocks;
}

function sentencesOf(bands: readonly LostAtVolts[], changeAtV: number | null): ThreeSentences {
  const weakest = bands[0]?.volts ?? 0;
  const n = bands.reduce((sum, { lost }) => sum + lost.n, 0);
  const lostInAll = bands.reduce((sum, { lost }) => sum + lost.successes, 0);
  const all = wilson(lostInAll, n);
  if (changeAtV === null) {
    const atMost = all === null ? '' : `; at most ${number(100 * all.high95, 1)} % are`;
    return {
      found: `No voltage down to ${number(weakest, 1)} V is shown to lose more than ${percent(TOO_MANY_LOST)} of its echoes.`,
      means: `${lostInAll} of ${counted(n, 'echo', 'echoes')} were lost${atMost}.`,
      next: 'Record once more with a weaker battery, at the same target.',
    };
  }
  const worst = bands.reduce((top, band) => (band.lost.rate > top.lost.rate ? band : top));
  return {
    found: `Change the battery at ${number(changeAtV, 1)} V: below it more than ${percent(TOO_MANY_LOST)} of the echoes are lost.`,
    means: `At ${number(worst.volts, 1)} V ${worst.lost.successes} of ${worst.lost.n} were lost (${number(100 * worst.lost.low95, 1)} to ${number(100 * worst.lost.high95, 1)} %).`,
    next: 'Look at the volts before a run that stops by this sensor; let its program ask for two readings in a row.',
  };
}

/**
 * Which echoes a distance sensor loses as the battery sags, from a log in which it looks at something that it can
 * see all the time.
 *
 * @param channel of its distances
 * @throws Error with a sentence that says what the log lacks
 */
export function lostEchoes(log: ChannelLog, channel: string): LostEchoes {
  const { columns } = whereRead(log, ['volts']);
  const { volts, [channel]: distances } = columns;
  if (volts === undefined) {
    throw new Error('The log does not hold the battery’s volts: let the program write them.');
  }
  if (distances === undefined) throw new Error('The log holds no such distance.');
  const bands = bandsOf(volts, distances);
  if (bands.length === 0) {
    throw new Error(`There are too few readings: record at least ${LEAST} at a voltage.`);
  }
  if (bands.every(({ lost }) => lost.rate > LOOKS_AT_NOTHING)) {
    throw new Error('Hardly any echo came: put something flat before the sensor, and record anew.');
  }
  const tooMany = pooled(bands).filter(
    ({ lost, due }) => (wilson(lost, due)?.low95 ?? 0) > TOO_MANY_LOST,
  );
  const changeAtV = tooMany.length === 0 ? null : Math.max(...tooMany.map(({ topV }) => topV));
  return { bands, changeAtV, sentences: sentencesOf(bands, changeAtV) };
}
