import { fUpperTail } from '../stats/fDistribution';
import { student975 } from '../stats/student';

/** Pressing against a wall: how far the heading was off before, and after. */
export interface SquaringTrial {
  /** Share of full power. */
  power: number;
  timeS: number;
  beforeRad: number;
  afterRad: number;
}

/** How fast pressing at one power takes a heading error away. */
export interface SquaringPower {
  power: number;
  n: number;
  /** After so long e⁻¹ of the error is left. */
  timeConstantS: number;
  low95: number;
  high95: number;
}

export interface Squaring {
  powers: SquaringPower[];
  /** Whether twice the power straightens twice as fast, as far as the trials tell: then all tell of each. */
  inProportion: boolean;
  /** What stays however long it presses: the wall, the bumper, the reading. */
  residualSdRad: number;
}

/** Rates that are looked at, 1/s: nothing turns slower or faster than that against a wall. */
const SLOWEST = 0.02;
const FASTEST = 200;
const STEPS = 400;
const HALVINGS = 60;
/** Where separate rates fit better than this chance allows, they are separate. */
const APART_LEVEL = 0.05;

/** Trials whose time counts as it is pressed: by the clock, or by clock and power together. */
interface Pressed {
  x: number;
  beforeRad: number;
  afterRad: number;
}

const misfit = (rate: number, trials: readonly Pressed[]): number =>
  trials.reduce(
    (sum, { x, beforeRad, afterRad }) => sum + (afterRad - beforeRad * Math.exp(-rate * x)) ** 2,
    0,
  );

/** The rate with the least squares of what is left: a coarse look at all, then ever closer around the best. */
function bestRate(trials: readonly Pressed[]): number {
  const ratio = (FASTEST / SLOWEST) ** (1 / STEPS);
  let best = SLOWEST;
  for (let i = 0; i <= STEPS; i += 1) {
    const rate = SLOWEST * ratio ** i;
    if (misfit(rate, trials) < misfit(best, trials)) best = rate;
  }
  let [low, high] = [best / ratio, best * ratio];
  for (let i = 0; i < HALVINGS; i += 1) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (misfit(a, trials) < misfit(b, trials)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** Information about a rate: the squares of how the errors left change with it. */
const information = (rate: number, trials: readonly Pressed[]): number =>
  trials.reduce((sum, { x, beforeRad }) => sum + (beforeRad * x * Math.exp(-rate * x)) ** 2, 0);

const byClock = (trials: readonly SquaringTrial[]): Pressed[] =>
  trials.map(({ timeS, ...angles }) => ({ ...angles, x: timeS }));
const byPower = (trials: readonly SquaringTrial[]): Pressed[] =>
  trials.map(({ timeS, power, ...angles }) => ({ ...angles, x: timeS * power }));

/** Rates of groups of trials, one each, and what no rate explains. */
function fitted(groups: readonly (readonly Pressed[])[]) {
  const rates = groups.map(bestRate);
  const squares = groups.reduce((sum, some, i) => sum + misfit(rates[i] ?? 0, some), 0);
  const degreesOfFreedom = groups.flat().length - groups.length;
  const residualSdRad = Math.sqrt(squares / degreesOfFreedom);
  const halves = groups.map(
    (some, i) =>
      (student975(degreesOfFreedom) * residualSdRad) / Math.sqrt(information(rates[i] ?? 0, some)),
  );
  return { rates, halves, squares, degreesOfFreedom, residualSdRad };
}

/**
 * How fast pressing against a wall straightens a robot, at each power: what is left of a heading error decays as
 * after = before · exp(−time / timeConstant). The moment that turns it grows with the push, so the rate is taken in
 * proportion to the power, unless rates of their own fit the powers better by the extra-sum-of-squares F test.
 *
 * Source: the first-order decay of a heading error under a restoring moment; nonlinear least squares with linearised
 * intervals in the rate, and the F test of nested models (Seber and Wild, Nonlinear Regression, 1989, sections 2.1
 * and 2.4).
 * @returns null where no power was tried twice with an error to take away
 */
export function squaring(trials: readonly SquaringTrial[]): Squaring | null {
  // Without power nothing presses.
  const told = [...new Set(trials.map(({ power }) => power).filter((power) => power > 0))]
    .toSorted((a, b) => a - b)
    .map((power) => trials.filter((trial) => trial.power === power))
    .filter((some) => some.filter(({ beforeRad }) => beforeRad !== 0).length > 1);
  if (told.length === 0 || told.flat().length < told.length + 1) return null;
  const apart = fitted(told.map(byClock));
  const together = fitted([byPower(told.flat())]);
  const further = together.degreesOfFreedom - apart.degreesOfFreedom;
  const inProportion =
    further > 0 &&
    fUpperTail(
      (together.squares - apart.squares) / further / (apart.squares / apart.degreesOfFreedom),
      further,
      apart.degreesOfFreedom,
    ) > APART_LEVEL;
  return {
    inProportion,
    residualSdRad: inProportion ? together.residualSdRad : apart.residualSdRad,
    powers: told.map((some, i) => {
      const power = some[0]?.power ?? Number.NaN;
      const scale = inProportion ? power : 1;
      const rate = scale * ((inProportion ? together.rates[0] : apart.rates[i]) ?? Number.NaN);
      const half = scale * ((inProportion ? together.halves[0] : apart.halves[i]) ?? Number.NaN);
      return {
        power,
        n: some.length,
        timeConstantS: 1 / rate,
        low95: 1 / (rate + half),
        // As far as the slowest that is looked at: so few trials do not exclude that it hardly turns.
        high95: 1 / Math.max(rate - half, Math.min(rate, SLOWEST * scale)),
      };
    }),
  };
}
