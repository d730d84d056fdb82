import { anywhere } from './cause';
import type { RandomStream } from '../stats/random';

/** A value as a loop reads it: where it would be at each round, in whole steps. */
export interface LoopLog {
  x: number[];
  y: number[];
}

const LOG_S = 2.5;

/** What a loop of any usual period reads of something that moves, for two and a half seconds. */
export function readInLoop(
  random: RandomStream,
  valueAt: (tS: number) => number,
  periodS: number = anywhere(random, 0.02, 0.035),
): LoopLog {
  const n = Math.floor(LOG_S / periodS);
  const x = Array.from({ length: n }, (_, i) => i * periodS);
  return { x, y: x.map((t) => Math.round(valueAt(t))) };
}

/** A line of what was told, from the first to the last moment. */
export const commandedLine = (label: string, value: number) => ({
  label,
  x: [0, LOG_S],
  y: [value, value],
  is: 'told' as const,
});

/** Something that starts after a moment, moves at a rate and stands when it has gone so far. */
export const movesBy =
  (startS: number, rate: number, by: number) =>
  (tS: number): number =>
    Math.sign(by) * Math.min(Math.abs(by), Math.max(0, (tS - startS) * Math.abs(rate)));
