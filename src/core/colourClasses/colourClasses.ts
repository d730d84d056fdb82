import { circularMean } from '../stats/circularMean';
import { mean, sampleSd } from '../stats/moments';
import { clippedIn, errorsUnder, type Clipped, type Under } from './conditions';
import {
  bestOf,
  hueRefused,
  judged,
  judgedFrom,
  rateOf,
  type ByClass,
  type Judged,
} from './judged';
import type { ColourReading, ColourSample } from './reading';
import { representationsOf, type Column, type Representation } from './representations';
import { fits, ruleOf, type ColourRule } from './rules';
import { ruleSentence, shownSentence } from './ruleText';
import type { ColourScale } from './scale';
import { shownFor, shownLeaveOneOut, shownOf } from './shownClasses';

/** A way to look at the samples, and how often it errs. */
export interface Way {
  id: string;
  name: string;
  errorRate: ReturnType<typeof rateOf>;
  /** Whether the samples cannot tell it from the best one. */
  isAlike: boolean;
}

/** A class in the numbers of the way that is recommended, in the program's scale. */
export interface ColourClass {
  name: string;
  n: number;
  centre: Record<string, number>;
  spread: Record<string, number>;
}

export interface ColourClasses {
  representation: string;
  /** A row for each class of what its readings were taken for, each judged by the others. */
  confusion: { names: string[]; counts: number[][]; none: number[] };
  errorRate: ReturnType<typeof rateOf>;
  classes: ColourClass[];
  rules: { name: string; sentence: string }[];
  /** Of the samples so many do not fit their own rule, or fit another's. */
  againstRules: number;
  ways: Way[];
  /** Ways that are not to be gone by, and why. */
  refused: { id: string; why: string }[];
  /** Readings at the end of the scale: brighter ones would read the same. */
  clipped: Clipped[];
  /** How many were taken for another class, at each distance and in each light that was noted. */
  under: Under[];
}

const CLASS_WAY = { id: 'class', name: 'what the sensor says itself' };
const NAMES = (samples: readonly ColourSample[]): string[] => [
  ...new Set(samples.map(({ name }) => name)),
];

const byClass = (names: readonly string[], samples: readonly ColourSample[]): ByClass =>
  names.map((name) => samples.filter((one) => one.name === name).map(({ reading }) => reading));

const FULL_TURN = 2 * Math.PI;

/** Where the readings of a class lie in a column, and how far they spread. */
function inColumn(
  column: Column,
  readings: readonly ColourReading[],
  scale: ColourScale,
): { centre: number; spread: number } {
  const values = readings.map((one) => column.of(one, scale));
  const period = column.period?.(scale) ?? null;
  if (period === null) return { centre: mean(values), spread: sampleSd(values) };
  const { meanRad, sdRad } = circularMean(values.map((one) => (one / period) * FULL_TURN));
  return {
    centre: (((meanRad + FULL_TURN) % FULL_TURN) / FULL_TURN) * period,
    spread: (sdRad / FULL_TURN) * period,
  };
}

function classOf(
  name: string,
  readings: readonly ColourReading[],
  { columns }: Representation,
  scale: ColourScale,
): ColourClass {
  const found = columns.map((column) => [column.name, inColumn(column, readings, scale)] as const);
  return {
    name,
    n: readings.length,
    centre: Object.fromEntries(found.map(([key, { centre }]) => [key, centre])),
    spread: Object.fromEntries(found.map(([key, { spread }]) => [key, spread])),
  };
}

const shared = (
  names: string[],
  samples: readonly ColourSample[],
  best: Judged,
  alike: readonly Judged[],
  ways: readonly Judged[],
) => ({
  representation: best.id,
  confusion: { names, counts: best.counts, none: best.none },
  errorRate: rateOf(best),
  ways: ways.map((way) => ({
    id: way.id,
    name: way.name,
    errorRate: rateOf(way),
    isAlike: alike.includes(way),
  })),
  clipped: clippedIn(names, samples),
  under: errorsUnder(
    names.flatMap((name) => samples.filter((one) => one.name === name)),
    best.wrongs,
  ),
});

/** Of a sensor that says by itself which colour it sees. */
function fromShown(
  names: string[],
  samples: readonly ColourSample[],
  readings: ByClass,
): ColourClasses {
  const way = judgedFrom(CLASS_WAY, shownLeaveOneOut(readings));
  const owned = shownFor(readings);
  const sides = readings.map((row, c) =>
    row.filter(
      (reading) => reading.kind === 'class' && owned[c]?.includes(reading.shown) === false,
    ),
  );
  return {
    ...shared(names, samples, way, [way], [way]),
    classes: names.map((name, c) => ({
      name,
      n: readings[c]?.length ?? 0,
      centre: Object.fromEntries(
        shownOf(readings[c] ?? []).map(({ shown, share }) => [shown, share]),
      ),
      spread: {},
    })),
    rules: names.map((name, c) => ({ name, sentence: shownSentence(name, owned[c] ?? []) })),
    againstRules: sides.flat().length,
    refused: [],
  };
}

const rulesOf = (
  names: readonly string[],
  readings: ByClass,
  representation: Representation,
  scale: ColourScale,
): ColourRule[] =>
  names.map((name, c) =>
    ruleOf(name, representation, readings[c] ?? [], readings.toSpliced(c, 1).flat(), scale),
  );

/** The inequalities by which a way tells colours apart; none of a sensor that names them itself. */
export function rulesBy(
  samples: readonly ColourSample[],
  representation: string,
  scale: ColourScale,
): ColourRule[] {
  const names = NAMES(samples);
  const [first] = samples;
  const way = first && representationsOf(first.reading).find(({ id }) => id === representation);
  return way === undefined ? [] : rulesOf(names, byClass(names, samples), way, scale);
}

/**
 * Which colours a sensor tells apart, in which way its readings tell them best, and by which inequalities a program goes.
 * Each reading is judged by classes that were made without it; nearest is the class under which it is most probable, all
 * coming equally often, and none where it lies beyond all of them.
 *
 * @returns null for fewer than two colours, or fewer than two readings of some
 */
export function colourClasses(
  samples: readonly ColourSample[],
  scale: ColourScale,
): ColourClasses | null {
  const names = NAMES(samples);
  const readings = byClass(names, samples);
  const first = samples[0]?.reading;
  if (first === undefined || names.length < 2 || readings.some(({ length }) => length < 2)) {
    return null;
  }
  const all = representationsOf(first);
  if (all.length === 0) return fromShown(names, samples, readings);
  const refused = all.flatMap((way) => {
    const why = hueRefused(way, names, readings);
    return why === null ? [] : [{ id: way.id, why }];
  });
  const usable = all.filter(({ id }) => refused.every((one) => one.id !== id));
  const ways = usable.map((way) => judged(way, readings));
  const found = bestOf(ways);
  const representation = usable.find(({ id }) => id === found?.best.id);
  if (found === null || representation === undefined) return null;
  const rules = rulesOf(names, readings, representation, scale);
  const obeys = (reading: ColourReading, c: number) =>
    rules.every((rule, k) => fits(rule, reading, scale) === (k === c));
  return {
    ...shared(names, samples, found.best, found.alike, ways),
    classes: names.map((name, c) => classOf(name, readings[c] ?? [], representation, scale)),
    rules: rules.map((rule) => ({ name: rule.name, sentence: ruleSentence(rule) })),
    againstRules: readings.flatMap((row, c) => row.filter((one) => !obeys(one, c))).length,
    refused,
  };
}
