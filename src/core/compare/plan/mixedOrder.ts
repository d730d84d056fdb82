import type { Way } from './ways';

/**
 * The order in which two ways are tried in turn, so that what changes slowly (a battery, a floor, a hand) falls on
 * both alike: A B B A, then B A A B, and so on.
 *
 * Source: counterbalancing after Thue and Morse; Cochran and Cox, Experimental Designs (2nd ed., 1957), chapter 4.
 */
export function mixedOrder(perSeries: number): ('A' | 'B')[] {
  const blocks = Math.ceil(perSeries / 2);
  const order = Array.from({ length: blocks }, (_, i): ('A' | 'B')[] =>
    i % 2 === 0 ? ['A', 'B', 'B', 'A'] : ['B', 'A', 'A', 'B'],
  ).flat();
  // An odd number ends in half a block: one of each.
  return order.slice(0, 2 * perSeries);
}

const SQUARE: readonly (readonly Way[])[] = [
  ['A', 'B', 'D', 'C'],
  ['B', 'C', 'A', 'D'],
  ['C', 'D', 'B', 'A'],
  ['D', 'A', 'C', 'B'],
];

/**
 * The order of four ways: each once in every four runs, at each place of the four once, and within the fours each
 * after every other once, so that neither what changes slowly nor the run before favours one.
 *
 * Source: E. J. Williams, Australian Journal of Scientific Research A 2 (1949) 149–168.
 */
export const mixedOrderOfFour = (perSeries: number): Way[] =>
  Array.from({ length: perSeries }, (_, i) => SQUARE[i % SQUARE.length] ?? []).flat();

/** The order of a plan of two ways or of four. */
export const orderOf = (ways: number, perSeries: number): Way[] =>
  ways === 4 ? mixedOrderOfFour(perSeries) : mixedOrder(perSeries);
