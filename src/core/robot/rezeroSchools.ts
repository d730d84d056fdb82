/** Five ways of getting rid of drift, in the order in which they are usually tried. */
export const REZERO_SCHOOLS = [
  'restart',
  'reconnect',
  're-initialise',
  'estimate at start',
  're-anchor',
] as const;

export type RezeroSchool = (typeof REZERO_SCHOOLS)[number];
