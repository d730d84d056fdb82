/** A drive in which a gain is tried goes on until its time is over. */
export const FAR_M = 8;

/** And as fast as most robots drive when they are to arrive. */
export const SPEED_M_PER_S = 0.2;

/** Along a wall or a line they drive slower: the faster, the less a gain damps. */
export const FOLLOWING_M_PER_S = 0.12;
