import type { ThreeSentences } from '../gyro/still/stillSentence';
import { fQuantile } from '../stats/fDistribution';
import { mean } from '../stats/moments';
import { benchLength, benchSpeed, counted, errorLength, number } from '../text/quantities';
import type { StopTrial } from './stopModel';
import { STOP_KINDS, STOPS_BY, type StopKind } from './stopsBy';

export interface KindTrial extends StopTrial {
  by: StopKind;
}

/** How alike the stops of one kind are. */
export interface RankedStop {
  by: StopKind;
  n: number;
  /** Of stops from one speed about their own mean; NaN where no speed was driven twice. */
  sdM: number;
  degreesOfFreedom: number;
  sdLow95M: number;
  sdHigh95M: number;
  /** The middle of the speeds that were driven, and the time for the last stretch at it. */
  speedMPerS: number;
  lastStretchS: number;
}

/** So long is the stretch before a stop that is driven at that speed. */
export const LAST_STRETCH_M = 0.3;
/** A tape is read to a millimetre: stops that look the same may differ by the scatter of that rounding. */
const READ_TO_M = 0.001;
const ROUNDING_VARIANCE = READ_TO_M ** 2 / 12;
/** Degrees of freedom of a variance that is as good as known. */
const KNOWN = 1e6;

function rankOf(by: StopKind, trials: readonly KindTrial[]): RankedStop {
  const speeds = [...new Set(trials.map((trial) => trial.speedMPerS))];
  const groups = speeds.map((speed) => trials.filter((trial) => trial.speedMPerS === speed));
  const squares = groups.flatMap((group) => {
    const over = group.map(({ thresholdM, stopM }) => thresholdM - stopM);
    const middle = mean(over);
    return over.map((value) => (value - middle) ** 2);
  });
  const degreesOfFreedom = trials.length - groups.length;
  const known = degreesOfFreedom > 0;
  const seen = squares.reduce((sum, one) => sum + one, 0) / degreesOfFreedom;
  const variance = Math.max(seen, ROUNDING_VARIANCE);
  const speedMPerS = mean(trials.map((trial) => trial.speedMPerS));
  const limit = (p: number) => Math.sqrt(variance / fQuantile(p, degreesOfFreedom, KNOWN));
  return {
    by,
    n: trials.length,
    sdM: known ? Math.sqrt(variance) : Number.NaN,
    degreesOfFreedom,
    sdLow95M: known ? limit(0.975) : Number.NaN,
    sdHigh95M: known ? limit(0.025) : Number.NaN,
    speedMPerS,
    lastStretchS: LAST_STRETCH_M / speedMPerS,
  };
}

/**
 * The kinds of stop that were tried, the most alike first: the pooled scatter of stops from one speed about their
 * mean, with its 95 % interval. A kind of which no speed was driven twice stands last.
 *
 * Source: pooled variance and its interval by χ², e.g. Montgomery, Design and Analysis of Experiments, 2.6.
 */
export const rankStops = (trials: readonly KindTrial[]): RankedStop[] =>
  STOP_KINDS.map((kind) => ({ kind, own: trials.filter(({ by }) => by === kind) }))
    .filter(({ own }) => own.length > 0)
    .map(({ kind, own }) => rankOf(kind, own))
    .sort((a, b) => (Number.isNaN(a.sdM) ? 1 : Number.isNaN(b.sdM) ? -1 : a.sdM - b.sdM));

/** Whether one kind's scatter is shown to be larger than another's: an F test, two-sided, 95 %. */
const isShownLarger = (more: RankedStop, less: RankedStop): boolean =>
  (more.sdM / less.sdM) ** 2 > fQuantile(0.975, more.degreesOfFreedom, less.degreesOfFreedom);

/**
 * Which kind of stop to take, in three sentences.
 *
 * @returns null with fewer than two kinds of which the scatter is known
 */
export function rankSentences(ranked: readonly RankedStop[]): ThreeSentences | null {
  const [best, ...others] = ranked.filter(({ sdM }) => !Number.isNaN(sdM));
  if (best === undefined || others.length === 0) return null;
  const asGood = others.filter((other) => !isShownLarger(other, best));
  const scatter = ({ sdM }: RankedStop) => `± ${errorLength(sdM, 1)}`;
  const named = (kind: RankedStop) => `by ${STOPS_BY[kind.by].title} ${scatter(kind)}`;
  const fastest = [best, ...asGood].reduce((a, b) => (b.speedMPerS > a.speedMPerS ? b : a));
  const means = `Single stops scatter: ${[best, ...others].map(named).join(', ')}.`;
  if (asGood.length === 0) {
    return {
      found: `It stops most alike by ${STOPS_BY[best.by].title}.`,
      means,
      next: `Take it where there is ${STOPS_BY[best.by].needs}; ${benchSpeed(best.speedMPerS)} makes ${number(best.lastStretchS, 1)} s of the last ${benchLength(LAST_STRETCH_M)}.`,
    };
  }
  return {
    found: `By ${[best, ...asGood].map(({ by }) => STOPS_BY[by].title).join(' or by ')}: which stops more alike is not shown yet.`,
    means,
    next: `Take what is at hand, or the faster one (${STOPS_BY[fastest.by].title}); ${counted(best.degreesOfFreedom + 3, 'stop')} of each would tell more.`,
  };
}
