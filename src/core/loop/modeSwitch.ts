import { channelsIn, type ChannelLog } from '../channels/log';
import { median } from '../stats/median';

/** What it costs a unit to be switched from one of its modes to the other. */
export interface ModeSwitch {
  switches: number;
  /** Longer than between two readings of one mode, as a rule and at worst. */
  usualS: number;
  worstS: number;
  /** So many readings after a switch, at most, are still those of before it. */
  oldReadings: number;
}

/** In so small a share of the moments both may be read, for all that they take turns. */
const TOGETHER = 0.05;
const FEWEST_SWITCHES = 2;

interface Phase {
  of: 'a' | 'b';
  /** Moments and readings of one stretch in one mode. */
  tS: number[];
  values: number[];
}

/** Stretches of a log in which one of two channels is read, in turn. */
function phasesOf(tS: Float64Array, a: Float64Array, b: Float64Array): Phase[] {
  const phases: Phase[] = [];
  for (const [i, at] of tS.entries()) {
    const [one = Number.NaN, other = Number.NaN] = [a[i], b[i]];
    if (Number.isNaN(one) === Number.isNaN(other)) continue;
    const of = Number.isNaN(other) ? 'a' : 'b';
    let phase = phases.at(-1);
    if (phase?.of !== of) {
      phase = { of, tS: [], values: [] };
      phases.push(phase);
    }
    phase.tS.push(at);
    phase.values.push(of === 'a' ? one : other);
  }
  return phases;
}

/** Readings of a stretch that repeat the last one of its mode's stretch before: they are old, where they then change. */
function oldIn(phase: Phase, before: Phase): number {
  const last = before.values.at(-1);
  const changes = phase.values.findIndex((value) => value !== last);
  return changes < 0 ? 0 : changes;
}

/**
 * What switching between two modes costs, from readings that take turns: the gap from the last reading of one to the first
 * of the other, less the usual time between two of a mode; and how many then repeat an old reading.
 *
 * @returns null where they hardly switch
 */
export function modeSwitch(tS: Float64Array, a: Float64Array, b: Float64Array): ModeSwitch | null {
  const phases = phasesOf(tS, a, b);
  const switches = phases.length - 1;
  if (switches < FEWEST_SWITCHES) return null;
  const steps = phases.flatMap((phase) =>
    phase.tS.slice(1).map((at, i) => at - (phase.tS[i] ?? at)),
  );
  const usual = steps.length === 0 ? 0 : median(steps);
  const gaps = phases
    .slice(1)
    .map((phase, i) => Math.max(0, (phase.tS[0] ?? 0) - (phases[i]?.tS.at(-1) ?? 0) - usual));
  const old = phases.slice(2).map((phase, i) => oldIn(phase, phases[i] ?? phase));
  return {
    switches,
    usualS: median(gaps),
    worstS: Math.max(...gaps),
    oldReadings: Math.max(0, ...old),
  };
}

/** The two channels of a log that are read in turn, most switches first; null where none are. */
export function switchedIn({
  tS,
  columns,
}: ChannelLog): (ModeSwitch & { keys: [string, string] }) | null {
  const channels = channelsIn(columns);
  let best: (ModeSwitch & { keys: [string, string] }) | null = null;
  for (const [i, [key, values]] of channels.entries()) {
    for (const [other, others] of channels.slice(i + 1)) {
      const isRead = (all: Float64Array, k: number) => !Number.isNaN(all[k]);
      let [either, both] = [0, 0];
      for (let k = 0; k < tS.length; k += 1) {
        const [x, y] = [isRead(values, k), isRead(others, k)];
        if (x || y) either += 1;
        if (x && y) both += 1;
      }
      if (both > TOGETHER * either) continue;
      const found = modeSwitch(tS, values, others);
      if (found !== null && found.switches > (best?.switches ?? 0)) {
        best = { ...found, keys: [key, other] };
      }
    }
  }
  return best;
}

/** Two presses of a stopwatch are good to so much together. */
const WATCH_S = 0.3;

/** A switch that a program made again and again, timed by a stopwatch against the same without it. */
export interface TimedSwitches {
  switches: number;
  withS: number;
  withoutS: number;
}

/** The time of a switch with what the stopwatch leaves open. */
export function switchFromWatch({ switches, withS, withoutS }: TimedSwitches) {
  const half = (Math.SQRT2 * WATCH_S) / switches;
  const value = Math.max(0, (withS - withoutS) / switches);
  return { value, low95: Math.max(0, value - half), high95: value + half };
}

/**
 * Between two readings of one mode that a program gets which looks in both each round: there and back, and the readings
 * after each that are still old.
 */
export const bothModesApartS = (
  switchS: number,
  oldReadings: number,
  sensorPeriodS: number,
): number => 2 * (switchS + (oldReadings + 1) * sensorPeriodS);
