import { SEEN_BY, type SeenBy } from './linePassWords';
import { estimateOf, roundedFit, type Estimate, type RoundedFit } from '../stats/roundedFit';
import { lengthStepM } from '../stats/instrumentStep';
import { scatterInterval, type Scatter } from '../stats/scatterInterval';
import { wilson, type SuccessRate } from '../stats/wilson';

/** A drive over a line that was to end there. */
export interface LinePass {
  by: SeenBy;
  drives: 'forwards' | 'backwards';
  on: 'entering' | 'leaving';
  speedMPerS: number;
  /** Where it noticed a line: at the line, not at all, or where there is none. */
  noticed: 'line' | 'nothing' | 'floor';
  /** How far past the line's edge it stood, along its way; null: not measured, or it never stood there. */
  overM: number | null;
}

/** One way over the line: forwards or backwards, onto it or off it. */
export type Direction = Pick<LinePass, 'drives' | 'on'>;

/** Overruns in one direction. */
export interface LineOverrun extends Direction {
  n: number;
  /** At the speed that is asked about, on average. */
  over: Estimate;
  /** Within which the next one stops, in 95 of 100. */
  next: { low95: number; high95: number };
  /** By how much single ones differ from one speed. */
  scatter: Scatter;
}

/** What one way of telling the line is worth. */
export interface LineWay {
  by: SeenBy;
  /** Of all its passes those that went wrong: the line missed, or a line noticed where there is none. */
  wrong: SuccessRate;
  missed: number;
  falsely: number;
  /** Further for each m/s: late by so many seconds, braking included. Null: one speed alone. */
  delayS: Estimate | null;
  /** Past the edge in the direction in which ways are compared; null: none was measured there. */
  over: Estimate | null;
  overruns: LineOverrun[];
}

const DIRECTIONS = (['forwards', 'backwards'] as const).flatMap((drives) =>
  (['entering', 'leaving'] as const).map((on) => ({ drives, on })),
);

type Measured = LinePass & { overM: number };
const isMeasured = (pass: LinePass): pass is Measured =>
  pass.overM !== null && pass.noticed === 'line';

/** Ways over the line that were measured, each with an offset of its own; and with speed, if that is asked. */
function fitWith(passes: readonly Measured[], stepM: number, hasSpeeds: boolean) {
  const ways = DIRECTIONS.filter(({ drives, on }) =>
    passes.some((pass) => pass.drives === drives && pass.on === on),
  );
  const row = (drives: LinePass['drives'], on: LinePass['on'], speedMPerS: number) => [
    ...ways.map((way) => (way.drives === drives && way.on === on ? 1 : 0)),
    ...(hasSpeeds ? [speedMPerS] : []),
  ];
  const fit = roundedFit(
    passes.map(({ drives, on, speedMPerS }) => row(drives, on, speedMPerS)),
    passes.map(({ overM }) => overM),
    stepM,
  );
  return { ways, hasSpeeds, row, fit };
}

/** With the speeds where those can be told from the directions; where each direction has its own speed, without. */
function fitOf(passes: readonly Measured[], stepM: number) {
  const differ = new Set(passes.map(({ speedMPerS }) => speedMPerS)).size > 1;
  const bySpeed = differ ? fitWith(passes, stepM, true) : null;
  return bySpeed?.fit == null ? fitWith(passes, stepM, false) : bySpeed;
}

const around = (fit: RoundedFit, columns: readonly number[]): Estimate => {
  const value = columns.reduce((sum, one, i) => sum + one * (fit.coefficients[i] ?? 0), 0);
  const half = fit.halfWidth95(columns);
  return { value, low95: value - half, high95: value + half };
};

function wayOf(
  by: SeenBy,
  passes: readonly LinePass[],
  speedMPerS: number,
  along: Direction,
): LineWay | null {
  const own = passes.filter((pass) => pass.by === by);
  const missed = own.filter(({ noticed }) => noticed === 'nothing').length;
  const falsely = own.filter(({ noticed }) => noticed === 'floor').length;
  const wrong = wilson(missed + falsely, own.length);
  if (wrong === null) return null;
  const measured = own.filter(isMeasured);
  const stepM = lengthStepM(measured.map(({ overM }) => overM));
  const { ways, hasSpeeds, row, fit } = fitOf(measured, stepM);
  if (measured.length === 0 || fit === null) {
    return { by, wrong, missed, falsely, delayS: null, over: null, overruns: [] };
  }
  const overruns = ways.map(({ drives, on }): LineOverrun => {
    const columns = row(drives, on, speedMPerS);
    const over = around(fit, columns);
    const half = fit.predictionHalfWidth95(columns);
    const these = measured.filter((pass) => pass.drives === drives && pass.on === on);
    const delay = hasSpeeds ? (fit.coefficients.at(-1) ?? 0) : 0;
    return {
      drives,
      on,
      n: these.length,
      over,
      next: { low95: over.value - half, high95: over.value + half },
      scatter: scatterInterval(
        these.map((pass) => pass.overM - delay * (pass.speedMPerS - speedMPerS)),
        stepM,
      ),
    };
  });
  return {
    by,
    wrong,
    missed,
    falsely,
    delayS: hasSpeeds ? estimateOf(fit, ways.length) : null,
    over:
      overruns.find(({ drives, on }) => drives === along.drives && on === along.on)?.over ?? null,
    overruns,
  };
}

/** The speed at which most passes were made, of several the fastest; 0 for none. */
export function usualSpeedMPerS(passes: readonly LinePass[]): number {
  const counts = new Map<number, number>();
  for (const { speedMPerS } of passes) counts.set(speedMPerS, (counts.get(speedMPerS) ?? 0) + 1);
  const most = Math.max(0, ...counts.values());
  return Math.max(0, ...[...counts].filter(([, n]) => n === most).map(([speed]) => speed));
}

/** The direction of most passes; of several forwards, and onto the line. */
export function usualDirection(passes: readonly LinePass[]): Direction {
  const times = ({ drives, on }: Direction) =>
    passes.filter((pass) => pass.drives === drives && pass.on === on).length;
  return DIRECTIONS.reduce((best, one) => (times(one) > times(best) ? one : best));
}

/**
 * What passes over a line tell of each way of noticing it, side by side: how often it goes wrong (Wilson's interval),
 * how late it is, and how far past the edge the robot stands, in each direction by itself.
 *
 * Overrun = offset of the direction + delay · speed, by least squares, a way at a time: Seber and Lee, Linear
 * Regression Analysis, 2nd ed., 2003, chapter 3.
 * @param speedMPerS at which overruns are told
 * @param along in which direction ways are compared
 * @returns the way that goes wrong least often first, of those alike the one that stops sooner
 */
export const linePasses = (
  passes: readonly LinePass[],
  speedMPerS: number,
  along: Direction,
): LineWay[] =>
  (Object.keys(SEEN_BY) as SeenBy[])
    .flatMap((by) => wayOf(by, passes, speedMPerS, along) ?? [])
    .toSorted(
      (a, b) =>
        a.wrong.rate - b.wrong.rate ||
        (a.over?.value ?? Infinity) - (b.over?.value ?? Infinity) ||
        b.wrong.n - a.wrong.n,
    );
