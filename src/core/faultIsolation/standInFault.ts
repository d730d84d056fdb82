import { randomStream } from '../stats/random';
import { LINK_NAMES, type Link } from './links';

/** A fault that is hidden in a stand-in: which part, and in which share of looks it shows. */
export interface HiddenFault {
  link: Link;
  share: number;
}

/** Steady, or now and then. */
const SHARES = [1, 0.5, 0.2];

/** The number of a list, from its id: its fault stays the same. */
export const faultSeed = (listId: string): number =>
  [...listId].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) >>> 0, 7);

export function hiddenFault(seed: number): HiddenFault {
  const random = randomStream(seed, 0, 'stand-in: fault');
  const one = <T>(of: readonly T[], otherwise: T): T =>
    of[Math.floor(random.uniform() * of.length)] ?? otherwise;
  return { link: one(LINK_NAMES, 'cable'), share: one(SHARES, 1) };
}

/**
 * Whether the hidden fault shows in a look.
 *
 * @param exchanged which part was another one
 * @param look its number: each draws for itself
 */
export const faultShows = (seed: number, exchanged: Link | 'nothing', look: number): boolean => {
  const { link, share } = hiddenFault(seed);
  return exchanged !== link && randomStream(seed, look + 1, 'stand-in: look').uniform() < share;
};
