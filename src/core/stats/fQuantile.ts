import quantile from '@stdlib/stats-base-dists-f-quantile';

/** The p-quantile of Fisher's F distribution with d1 and d2 degrees of freedom. */
export const fQuantile = (p: number, d1: number, d2: number): number => quantile(p, d1, d2);
