import { isWithin } from '../colour/inequalities';
import { hasHue, type ColourReading } from './reading';
import type { Column, Representation } from './representations';
import type { ColourScale } from './scale';

/** A bound lies no further beyond a class's own readings than so many of their deviations. */
const MOST_BEYOND_SDS = 2;
/** Of a class's readings so many without a hue are a part of its own. */
const LEAST_PART = 0.1;

/** From where to where a number lies; null: on that side nothing else is. A hue may begin above its end. */
export interface Bounds {
  column: Column;
  low: number | null;
  high: number | null;
  /** How far off the nearest of the others lies, in deviations of the class's own readings. */
  apart: number;
}

/** All of these hold. */
export type Box = readonly Bounds[];

/** A class as inequalities that can be typed: one of its boxes holds. */
export interface ColourRule {
  name: string;
  boxes: readonly Box[];
}

/** Values of a column, those of a hue unrolled so that a class lies in one piece. */
interface Unrolled {
  own: number[];
  others: number[];
  period: number | null;
}

/** Where the widest gap between values on a circle ends. */
function afterWidestGap(values: readonly number[], period: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  let [start, widest] = [sorted[0] ?? 0, -1];
  for (const [i, one] of sorted.entries()) {
    const before = i === 0 ? (sorted.at(-1) ?? 0) - period : (sorted[i - 1] ?? 0);
    if (one - before > widest) [start, widest] = [one, one - before];
  }
  return start;
}

function unrolled(
  column: Column,
  own: readonly ColourReading[],
  others: readonly ColourReading[],
  scale: ColourScale,
): Unrolled {
  const of = (readings: readonly ColourReading[]) => readings.map((one) => column.of(one, scale));
  const period = column.period?.(scale) ?? null;
  if (period === null) return { own: of(own), others: of(others), period };
  const start = afterWidestGap(of(own), period);
  const after = (value: number) => start + ((((value - start) % period) + period) % period);
  return { own: of(own).map(after), others: of(others).map(after), period };
}

const deviation = (values: readonly number[]): number => {
  const centre = values.reduce((sum, one) => sum + one, 0) / values.length;
  return Math.sqrt(values.reduce((sum, one) => sum + (one - centre) ** 2, 0) / values.length);
};

const MOST_STEPS = 7;

/** The roundest number between two that lies nearest to a wish: bounds are typed by hand. */
function roundest(wish: number, from: number, to: number, span: number): number {
  const coarsest = 10 ** Math.floor(Math.log10(span));
  for (let i = 0; i < MOST_STEPS; i += 1) {
    const step = coarsest / 10 ** i;
    const round = Number((Math.round(wish / step) * step).toPrecision(12));
    if (round >= from && round <= to) return round;
  }
  return wish;
}

/** The bounds of a class in a column: half way to what lies nearest beyond, and not far beyond its own readings. */
function boundsOf(
  column: Column,
  own: readonly ColourReading[],
  others: readonly ColourReading[],
  scale: ColourScale,
): Bounds {
  const values = unrolled(column, own, others, scale);
  const [least, greatest] = [Math.min(...values.own), Math.max(...values.own)];
  const { period } = values;
  const below = Math.max(
    ...values.others.filter((one) => one < least),
    ...(period === null ? [] : values.others.filter((o) => o > greatest).map((o) => o - period)),
  );
  const above = Math.min(
    ...values.others.filter((one) => one > greatest),
    ...(period === null ? [] : values.others.filter((o) => o < least).map((o) => o + period)),
  );
  const isAlone = !Number.isFinite(below) && !Number.isFinite(above);
  const span = period ?? Math.max(Math.abs(greatest), 1e-3);
  const sd = Math.max(span / 200, deviation(values.own));
  const most = MOST_BEYOND_SDS * sd;
  const beyond = (gap: number) => Math.min(most, gap / 2);
  const [down, up] = [beyond(least - below), beyond(above - greatest)];
  const low = roundest(least - down, least - 1.5 * down, least - down / 2, span);
  const high = roundest(greatest + up, greatest + up / 2, greatest + 1.5 * up, span);
  const turned = (value: number) =>
    period === null ? value : ((value % period) + period) % period;
  // On a circle there is always the other side.
  const isOpen = (nearest: number) => period === null && !Number.isFinite(nearest);
  return {
    column,
    low: isOpen(below) || isAlone ? null : turned(low),
    high: isOpen(above) || isAlone ? null : turned(high),
    apart: Math.min(least - below, above - greatest) / sd,
  };
}

const isInBox = (box: Box, reading: ColourReading, scale: ColourScale): boolean =>
  box.every((bounds) => isWithin(bounds, bounds.column.of(reading, scale)));

/**
 * The fewest bounds: of a class that has a hue the hue first, then each the one that leaves the fewest of the others in,
 * and of those the one that they are furthest from.
 */
function boxOf(
  columns: readonly Column[],
  own: readonly ColourReading[],
  all: readonly ColourReading[],
  scale: ColourScale,
): Box {
  const box: Bounds[] = [];
  let inside = [...all];
  while (inside.length > 0) {
    const free = columns.filter((column) => box.every((bounds) => bounds.column !== column));
    const hue = free.filter(({ period }) => period !== null);
    const tried = (hue.length > 0 && inside.some(hasHue) ? hue : free).map((column) => {
      // The hue of what is grey or dark is noise: it neither bounds a hue nor is kept out by one.
      const isNoise = (one: ColourReading) => column.period !== null && !hasHue(one);
      const others = inside.filter((one) => !isNoise(one));
      const bounds = boundsOf(column, own, others, scale);
      const left = inside.filter((one) => isNoise(one) || isInBox([bounds], one, scale));
      return { bounds, left };
    });
    const [best] = tried.toSorted(
      (a, b) => a.left.length - b.left.length || b.bounds.apart - a.bounds.apart,
    );
    const isUseless = best?.left.length === inside.length;
    if (best === undefined || (isUseless && hue.length === 0)) break;
    box.push(best.bounds);
    inside = best.left;
  }
  return box;
}

/** A class in plain inequalities; of one that has a hue in part, the part without it by itself. */
export function ruleOf(
  name: string,
  { columns }: Representation,
  own: readonly ColourReading[],
  others: readonly ColourReading[],
  scale: ColourScale,
): ColourRule {
  const whole = (box: Box): ColourRule => ({ name, boxes: [box] });
  const withHue = own.filter(hasHue);
  const isPart = (n: number) => n > 0 && n >= LEAST_PART * own.length;
  const withoutHue = columns.filter(({ period }) => period === null);
  const isAlike = withoutHue.length === columns.length || withoutHue.length === 0;
  if (isAlike || !isPart(own.length - withHue.length))
    return whole(boxOf(columns, own, others, scale));
  // Grey or dark at least in part: without the hue, if that parts it from all others.
  const plain = boxOf(withoutHue, own, others, scale);
  if (!isPart(withHue.length) || !others.some((one) => isInBox(plain, one, scale)))
    return whole(plain);
  const grey = own.filter((one) => !hasHue(one));
  return {
    name,
    boxes: [boxOf(columns, withHue, others, scale), boxOf(withoutHue, grey, others, scale)],
  };
}

export const fits = (rule: ColourRule, reading: ColourReading, scale: ColourScale): boolean =>
  rule.boxes.some((box) => isInBox(box, reading, scale));
