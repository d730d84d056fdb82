/** The largest gain that is kept of each controller, by amount, SI: beyond, a unit was mistaken. */
export const MOST_GAIN = {
  turn: 1e4,
  'heading-hold': 20,
  balance: 1e4,
  wall: 1e4,
  line: 1e4,
} as const;
