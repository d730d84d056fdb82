import { radiansFromDegrees } from '../geometry/angle';

/** A drive in which a gain is tried goes on until its time is over. */
export const FAR_M = 8;

/** And as fast as most robots drive when they are to arrive. */
export const SPEED_M_PER_S = 0.2;
export const DRIVING = { isRate: false, usual: SPEED_M_PER_S, others: [0.1, 0.2, 0.3, 0.4] };

/** Along a wall or a line they drive slower: the faster, the less a gain damps. */
export const FOLLOWING_M_PER_S = 0.12;
export const FOLLOWING = {
  isRate: false,
  usual: FOLLOWING_M_PER_S,
  others: [0.06, 0.12, 0.2, 0.3],
};

/** Of turns on the spot, rad/s. */
export const TURNING = {
  isRate: true,
  usual: 2,
  others: [60, 120, 180, 240].map(radiansFromDegrees),
};
