/** How a robot is put at its start. */
export const PLACING_WAYS = ['in the jig', 'by hand'] as const;
export type PlacingWay = (typeof PLACING_WAYS)[number];
