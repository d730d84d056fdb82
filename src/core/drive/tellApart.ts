/** Distances that differ by less than this factor tell no offset from a scale. */
const LEAST_RATIO = 1.5;

/** Whether distances differ enough to tell what grows with them from what does not. */
export const tellApart = (distances: readonly number[]): boolean => {
  const sizes = distances.map(Math.abs);
  return Math.max(...sizes) >= LEAST_RATIO * Math.min(...sizes) && new Set(sizes).size > 1;
};
