/** The controllers whose gain is tuned, in the order in which a season needs them. */
export const TUNED_IDS = ['turn', 'heading-hold', 'balance', 'wall', 'line'] as const;

export type TunedId = (typeof TUNED_IDS)[number];
