import { number, percent } from './quantities';

/** Rarer than this is not told: readings that spread so never showed it. */
const RAREST = 1e-4;
const OFTEN = 0.2;

/** A number with one or two digits that count: 1,370 is said as 1,400. */
function round(value: number): string {
  const power = 10 ** (Math.floor(Math.log10(value)) - 1);
  return number(power < 1 ? Math.round(value) : Math.round(value / power) * power);
}

/** How often, as a coach says it: "one reading in 40", "35 % of readings". */
export function oneIn(share: number, what: string, many = `${what}s`): string {
  if (share < RAREST) return `fewer than one ${what} in 10\u00a0000`;
  return share > OFTEN ? `${percent(share)} of ${many}` : `one ${what} in ${round(1 / share)}`;
}
