import { drawn } from '../sources/sources';
import type { Doubt } from '../sources/source';
import { mean } from '../stats/moments';

/** Squared correlation of two lists; 0 where one of them does not vary. */
function shared(x: readonly number[], y: readonly number[]): number {
  const [mx, my] = [mean(x), mean(y)];
  const sum = (of: (i: number) => number) => x.reduce((total, _, i) => total + of(i), 0);
  const xx = sum((i) => ((x[i] ?? 0) - mx) ** 2);
  const yy = sum((i) => ((y[i] ?? 0) - my) ** 2);
  const xy = sum((i) => ((x[i] ?? 0) - mx) * ((y[i] ?? 0) - my));
  return xx > 0 && yy > 0 ? (xy * xy) / (xx * yy) : 0;
}

/**
 * Which of the sources that nobody has measured decides most about where the sampled robots end: the one
 * whose draw explains most of how far their ends lie from the plan, and of which way.
 *
 * @param along of each robot, the mean offset of its ends along and across the travel
 * @param far and how far from the plan they lie
 * @returns its name; null where everything is measured, or nothing of it matters
 */
export function whatMatters(
  doubts: readonly Doubt[],
  seed: number,
  { along, across, far }: { along: number[]; across: number[]; far: number[] },
): string | null {
  const weights = doubts
    .filter(({ measured, sdRobot, ofScatter }) => !measured && sdRobot > 0 && ofScatter !== true)
    .map(({ name }) => {
      const draws = far.map((_, robot) => drawn(name, seed, robot));
      const sizes = draws.map(Math.abs);
      return { name, weight: shared(draws, along) + shared(draws, across) + shared(sizes, far) };
    })
    .toSorted((a, b) => b.weight - a.weight);
  const [first] = weights;
  return first === undefined || first.weight < LEAST_WEIGHT ? null : first.name;
}

/** Below this it might be chance: of three squared correlations over a hundred robots. */
const LEAST_WEIGHT = 0.1;
