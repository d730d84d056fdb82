import { randomStream } from '../stats/random';
import { mean } from '../stats/moments';
import { counted, degrees, errorLength } from '../text/quantities';
import { closureM, DRIVEN_BY, type DrivenBy, type LapReturn } from './squarePath';

/** How laps end that are driven one way. */
export interface SquareWay {
  driven: DrivenBy;
  laps: number;
  /** Mean distance from where each lap began. */
  offM: number;
  /** Root mean square of the heading left over. */
  headingRad: number;
}

const LEAST_LAPS = 2;
/** Random divisions of the laps into two ways: a chance of 5 in 100 is told within 1. */
const SHUFFLES = 2000;
const SEED = 31;
const PROVED = 0.05;

/** How often laps that were divided by chance differ by so much, by a permutation test (Fisher 1935, section 21). */
function chanceOf(one: readonly number[], other: readonly number[]): number {
  const all = [...one, ...other];
  const seen = Math.abs(mean(one) - mean(other)) - 1e-12;
  const random = randomStream(SEED, 0, 'ways of a square');
  let asFar = 0;
  for (let i = 0; i < SHUFFLES; i += 1) {
    const mixed = all
      .map((value) => ({ value, place: random.uniform() }))
      .toSorted((a, b) => a.place - b.place)
      .map(({ value }) => value);
    const apart = mean(mixed.slice(0, one.length)) - mean(mixed.slice(one.length));
    if (Math.abs(apart) >= seen) asFar += 1;
  }
  return (asFar + 1) / (SHUFFLES + 1);
}

/** Laps by the encoders beside laps by the gyro; null until there are two of each. */
export function squareWays(
  laps: readonly (LapReturn & { driven: DrivenBy })[],
): { ways: SquareWay[]; sentence: string } | null {
  const of = DRIVEN_BY.map((driven) => laps.filter((lap) => lap.driven === driven));
  const [encoders = [], gyro = []] = of;
  if (of.some((some) => some.length < LEAST_LAPS)) return null;
  const ways = of.map((some, i): SquareWay => ({
    driven: DRIVEN_BY[i] ?? 'encoders',
    laps: some.length,
    offM: mean(some.map(closureM)),
    headingRad: Math.sqrt(mean(some.map(({ headingRad }) => headingRad ** 2))),
  }));
  const said = ways.map(
    ({ driven, laps: n, offM, headingRad }) =>
      `${driven === 'gyro' ? 'with the gyro' : 'by the encoders'} ${counted(n, 'lap')} end ${errorLength(offM)} off and ${degrees(headingRad)} turned`,
  );
  const chance = chanceOf(encoders.map(closureM), gyro.map(closureM));
  const better = (ways[0]?.offM ?? 0) < (ways[1]?.offM ?? 0) ? 'The encoders do' : 'The gyro does';
  const verdict =
    chance < PROVED
      ? `${better} better here`
      : 'So few laps prove no difference; drive more of both';
  return { ways, sentence: `${verdict}: ${said.join(', ')}.` };
}
