/**
 * Probabilities of several tests that are asked at once, each made larger so that the chance of even one false
 * alarm stays what was wished; in the order in which they came.
 *
 * Source: Holm, Scand. J. Statist. 6 (1979) 65–70.
 */
export function holm(pValues: readonly number[]): number[] {
  const order = pValues.map((_, i) => i).sort((i, j) => (pValues[i] ?? 1) - (pValues[j] ?? 1));
  const adjusted = [...pValues];
  let least = 0;
  order.forEach((index, rank) => {
    least = Math.max(least, Math.min(1, (pValues[index] ?? 1) * (pValues.length - rank)));
    adjusted[index] = least;
  });
  return adjusted;
}
