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
