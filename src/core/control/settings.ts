/** What all motions share: a program has each of these once. */

/** Share of the motors' acceleration that a profile uses, so that the controller has room to correct. */
export const PROFILE_SHARE = 0.6;
/** Slowest speed of a profile: slower, a wheel may stand still. */
export const CREEP_M_PER_S = 0.025;
/** Time for which a robot stands after a motion before it goes on. */
export const SETTLE_S = 0.15;

/** After this a motion that should take so long has failed, and the motors stop. */
export const timeoutS = (expectedS: number): number => 1.5 * expectedS + 1;
/** Quiet for so long, a robot stands still: its heading may be zeroed. */
export const GATE_S = 0.5;
