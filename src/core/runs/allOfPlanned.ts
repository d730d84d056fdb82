/** A series in which every run worked, as many as had been planned. */
export interface AllWorked {
  n: number;
  /** One-sided 95 % lower limit of the true rate. */
  low95: number;
}

/**
 * What "n of n in a row" proves, when n was fixed beforehand: a rate below 0.05^(1/n) would give such
 * a series less than once in twenty.
 *
 * A longest streak picked afterwards proves nothing. So it counts from the first run of the series to
 * the last that was planned, and not at all when a run of it was set aside or not judged.
 *
 * Source: Clopper and Pearson, Biometrika 26 (1934) 404–413, the one-sided limit for no failure.
 * @param runs in the order in which they were made
 * @returns null unless all the planned runs were made and worked
 */
export function allOfPlanned(
  runs: readonly { success?: boolean | null | undefined; setAside: boolean }[],
  plannedRuns: number,
): AllWorked | null {
  const counted = runs.slice(0, plannedRuns);
  if (plannedRuns < 1 || counted.length < plannedRuns) return null;
  if (!counted.every((run) => run.success === true && !run.setAside)) return null;
  return { n: plannedRuns, low95: 0.05 ** (1 / plannedRuns) };
}
