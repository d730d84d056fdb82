import type { RandomStream } from './random';

/** What is drawn for something that is made up: a size between two, one of two directions. */
export interface Draws {
  between(low: number, high: number): number;
  either(): 1 | -1;
}

export const drawsOf = (random: RandomStream): Draws => ({
  between: (low, high) => low + (high - low) * random.uniform(),
  either: () => (random.uniform() < 0.5 ? -1 : 1),
});
