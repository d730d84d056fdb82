/** Five ways of getting rid of drift, in the order in which they are usually tried. */
export const REZERO_STRATEGIES = [
  'restart',
  'reconnect',
  're-initialise',
  'estimate at start',
  're-anchor',
] as const;

export type RezeroStrategy = (typeof REZERO_STRATEGIES)[number];
