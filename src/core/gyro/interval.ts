/** A 95 % interval. */
export interface Interval {
  low95: number;
  high95: number;
}

/** Drifts are advised against only when they are proved to differ from zero. */
export const isProved = ({ low95, high95 }: Interval): boolean => low95 > 0 || high95 < 0;
