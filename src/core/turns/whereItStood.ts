import { linearFit } from '../stats/linearFit';
import { fUpperTail } from '../stats/fDistribution';
import { counted, degrees } from '../text/quantities';
import { turnPoint, type TurnTrial } from './trial';

/** A turn of which somebody noted which way the robot faced before it, or where it stood. */
export interface PlacedTurn extends TurnTrial {
  /** Before the turn, on the table; null: nobody noted it. */
  facedRad: number | null;
  /** Empty: nobody noted it. */
  place: string;
}

/** What turns say about directions and places, in sentences; empty where nobody noted any. */
export interface WhereItStood {
  /** How far the sensor errs around the circle, to either side; null where that cannot be told. */
  aroundRad: number | null;
  /** Whether it is shown (5 %). */
  isShown: boolean;
  sentences: string[];
}

/** So many turns more than what is asked of them are needed to answer. */
const SPARE = 2;
const SURE = 0.95;

/** Turns that were told the same: whatever these go too far is no matter of where the robot stood. */
const commandOf = ({ targetRad, rateRadPerS, kind }: TurnTrial): string =>
  `${targetRad} ${rateRadPerS} ${kind}`;

const indicators = (values: readonly string[], kinds: readonly string[]) =>
  values.map((value) => kinds.map((kind) => (kind === value ? 1 : 0)));

const distinct = (values: readonly string[]): string[] => [...new Set(values)];

/**
 * What columns explain beyond what was told (extra sum of squares), and whether an F test shows it.
 *
 * @param besides further columns that are taken out first, where the turns can tell them apart
 */
function beyondCommanded(
  trials: readonly PlacedTurn[],
  besides: readonly number[][],
  more: readonly number[][],
  error: readonly number[],
): { coefficients: number[]; isShown: boolean } | null {
  const told = trials.map(commandOf);
  const base = indicators(told, distinct(told)).map((row, i) => [...row, ...(besides[i] ?? [])]);
  const full = base.map((row, i) => [...row, ...(more[i] ?? [])]);
  const [less, all] = [linearFit(base, error), linearFit(full, error)];
  const columns = more[0]?.length ?? 0;
  if (less === null || all === null || all.degreesOfFreedom < SPARE) {
    return besides.length === 0 ? null : beyondCommanded(trials, [], more, error);
  }
  const extra = (less.residualSumOfSquares - all.residualSumOfSquares) / columns;
  const noise = all.residualSumOfSquares / all.degreesOfFreedom;
  return {
    coefficients: all.coefficients.slice(-columns),
    isShown:
      noise === 0 ? extra > 0 : fUpperTail(extra / noise, columns, all.degreesOfFreedom) < 1 - SURE,
  };
}

/** Turned too far, signed to the left, the known drift taken out. */
function errorOf(trial: TurnTrial, driftRadPerS: number): number {
  const { actual, target, side } = turnPoint(trial, driftRadPerS);
  return (side === 'left' ? 1 : -1) * (actual - target);
}

/** By how much a sensor that errs around the circle errs in each turn, for a and b of one. */
const aroundOf = (trials: readonly PlacedTurn[]): number[][] =>
  trials.map(({ facedRad, actualRad }) =>
    facedRad === null
      ? [0, 0]
      : [
          Math.cos(facedRad) - Math.cos(facedRad + actualRad),
          Math.sin(facedRad) - Math.sin(facedRad + actualRad),
        ],
  );

const placesOf = (trials: readonly PlacedTurn[]): string[] =>
  distinct(trials.map(({ place }) => place));

/** Which of the places each turn was made at, against the first. */
const atPlaces = (trials: readonly PlacedTurn[]): number[][] =>
  indicators(
    trials.map(({ place }) => place),
    placesOf(trials).slice(1),
  );

function byDirection(trials: readonly PlacedTurn[], driftRadPerS: number) {
  const noted = trials.filter(({ facedRad }) => facedRad !== null);
  const found = beyondCommanded(
    noted,
    atPlaces(noted),
    aroundOf(noted),
    noted.map((trial) => errorOf(trial, driftRadPerS)),
  );
  return { n: noted.length, found };
}

function placeSentence(trials: readonly PlacedTurn[], driftRadPerS: number): string[] {
  const noted = trials.filter(({ place }) => place !== '');
  const [first, ...others] = placesOf(noted);
  if (first === undefined || others.length === 0) return [];
  const found = beyondCommanded(
    noted,
    aroundOf(noted),
    atPlaces(noted),
    noted.map((trial) => errorOf(trial, driftRadPerS)),
  );
  if (found === null) return [`Two more turns at each place would tell whether they differ.`];
  if (!found.isShown) return [`Where it stood makes no difference that these turns show.`];
  const most = found.coefficients.reduce(
    (top, value, i) => (Math.abs(value) > Math.abs(top.value) ? { value, i } : top),
    { value: 0, i: 0 },
  );
  return [
    `Where it stands matters: at “${others[most.i] ?? ''}” turns end ${degrees(Math.abs(most.value))} further ${most.value > 0 ? 'left' : 'right'} than at “${first}”. Look for metal or a magnet nearby, and for a floor that is not level.`,
  ];
}

/**
 * Whether turns go another way by which way the robot faced, or by where it stood. A sensor whose reading errs
 * around the circle, by a·cos + b·sin of the heading, errs in a turn by the difference of both ends; what turns that
 * were told the same have in common is taken out first.
 *
 * Source: extra sum of squares, Seber and Lee, Linear Regression Analysis, 2nd ed., 2003, section 4.3; the error of a
 * compass around the circle (deviation), first harmonic.
 */
export function whereItStood(trials: readonly PlacedTurn[], driftRadPerS: number): WhereItStood {
  const places = placeSentence(trials, driftRadPerS);
  const { n, found } = byDirection(trials, driftRadPerS);
  if (n === 0) return { aroundRad: null, isShown: false, sentences: places };
  if (found === null) {
    const more = 'Turn from four directions, a quarter apart, twice each: that tells.';
    return {
      aroundRad: null,
      isShown: false,
      sentences: [
        `Whether it matters which way it faces, ${counted(n, 'turn')} cannot tell. ${more}`,
        ...places,
      ],
    };
  }
  const aroundRad = Math.hypot(...found.coefficients);
  const said = found.isShown
    ? `It matters which way it faces: around the circle the heading sensor errs by ${degrees(aroundRad)} to either side, so a half turn by up to ${degrees(2 * aroundRad)}. Keep it away from motors and metal, mount it level, and measure the turns that your routes make.`
    : `Which way it faces makes no difference that ${counted(n, 'turn')} show.`;
  return { aroundRad, isShown: found.isShown, sentences: [said, ...places] };
}
