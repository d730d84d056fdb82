/** What the heading wanders in a run by white noise alone (two standard deviations). */
export const walkInRun = (walkRadPerSqrtS: number, runS: number): number =>
  2 * walkRadPerSqrtS * Math.sqrt(runS);
