import { medianPeriod, type HeadingLog, type Window } from '../channels/log';

/** A moment at which a reading first went on to a further step. */
export interface Passage {
  tS: number;
  /** The heading between the two steps, at which a sensor that rounds changes its reading. */
  headingRad: number;
  /** How many steps it passed at once. */
  steps: number;
}

/** When a drift first carries a coarse reading over each of its steps, in one window. */
export function passagesIn(
  { tS, headingRad }: HeadingLog,
  { from, to }: Window,
  sign: number,
  quantumRad: number,
): Passage[] {
  const passages: Passage[] = [];
  let reached = headingRad[from] ?? 0;
  for (let i = from + 1; i < to; i += 1) {
    const steps = Math.round((sign * ((headingRad[i] ?? 0) - reached)) / quantumRad);
    if (steps < 1) continue;
    reached += sign * steps * quantumRad;
    passages.push({
      tS: ((tS[i] ?? 0) + (tS[i - 1] ?? 0)) / 2,
      headingRad: reached - (sign * quantumRad) / 2,
      steps,
    });
  }
  return passages;
}

/** So many steps passed make a log of their own. */
const LEAST_PASSAGES = 6;

/** They have to go on for this share of the time: a drift that dies away passes none at its end. */
const LEAST_SPAN = 0.8;

const spanOf = (parts: readonly (readonly Passage[])[]): number =>
  parts.reduce((sum, part) => sum + (part.at(-1)?.tS ?? 0) - (part[0]?.tS ?? 0), 0);

const lengthOf = ({ log: { tS }, windows }: SteppedLog): number =>
  windows.reduce((sum, { from, to }) => sum + (tS[to - 1] ?? 0) - (tS[from] ?? 0), 0);

/** A log, its untouched windows, and the step in which its headings are known. */
export interface SteppedLog {
  log: HeadingLog;
  windows: readonly Window[];
  quantumRad: number;
}

/**
 * A coarse log by the moments at which the drift passed from step to step: there the heading is known as well as the
 * time between two readings allows, whatever the step. A ramp's rounding is not white, and would pass for a drift
 * that wanders.
 *
 * @returns the log as it is where it passes too few steps, several at once, or none for a long time
 */
export function withoutSteps(stepped: SteppedLog, driftRadPerS: number): SteppedLog {
  const { log, windows, quantumRad } = stepped;
  if (quantumRad === 0 || driftRadPerS === 0) return stepped;
  const found = windows.map((window) =>
    passagesIn(log, window, Math.sign(driftRadPerS), quantumRad),
  );
  const all = found.flat();
  const atOnce = all.filter(({ steps }) => steps > 1).length;
  if (all.length < LEAST_PASSAGES || atOnce > all.length / 10) return stepped;
  const single = found.map((passages) => passages.filter(({ steps }) => steps === 1));
  const kept = single.flat();
  if (spanOf(single) < LEAST_SPAN * lengthOf(stepped)) return stepped;
  let from = 0;
  const parts = single.map((passages) => ({ from, to: (from += passages.length) }));
  return {
    log: {
      tS: Float64Array.from(kept, ({ tS }) => tS),
      headingRad: Float64Array.from(kept, ({ headingRad }) => headingRad),
    },
    windows: parts.filter((part) => part.to - part.from > 1),
    quantumRad: Math.abs(driftRadPerS) * medianPeriod(log.tS),
  };
}
