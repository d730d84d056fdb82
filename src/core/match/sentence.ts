import { clock, counted, number } from '../text/quantities';
import { ENOUGH_CHANGE_OVERS } from './changeOver';
import type { Launch, Match } from './match';
import { chanceOfAtLeast, type MatchForecast } from './matchForecast';

const per100 = (share: number): string => number(share * 100);

/** A launch that is cut off less often than this is not spoken of. */
const SELDOM = 0.05;

/** What the clock does to the launches. */
function clockSentence(
  { allFit, launches }: MatchForecast,
  { clockS }: Match,
  nameOf: (launchId: string) => string,
): string {
  if (allFit === null) return '';
  const all = launches.length === 1 ? 'It is' : 'All launches are';
  const said = ` ${all} back before the clock has run out (${clock(clockS)}) in ${per100(allFit.rate)} of 100 matches.`;
  const [late] = launches
    .filter(({ inTime }) => 1 - inTime > SELDOM)
    .toSorted((a, b) => a.inTime - b.inTime);
  if (late === undefined || launches.length === 1) return said;
  const never = 1 - late.starts > SELDOM ? `, and never starts in ${per100(1 - late.starts)}` : '';
  return `${said} ${nameOf(late.id)} is cut off by it in ${per100(1 - late.inTime)}${never}.`;
}

/** What the forecast of a match says, in a few sentences. */
export function matchSentence(
  forecast: MatchForecast,
  match: Match,
  nameOf: (launchId: string) => string,
): string {
  const { expected, low95, high95, best, launches } = forecast;
  const range =
    low95 === null || high95 === null || high95 - low95 < 1
      ? ''
      : ` (for this robot between ${number(low95)} and ${number(high95)})`;
  const ofBest = match.bestOf === 1 ? '' : `, ${number(best)} the best of ${match.bestOf} matches`;
  return `${counted(launches.length, 'launch', 'launches')}: ${number(expected)} points on average${range}${ofBest}.${clockSentence(forecast, match, nameOf)}`;
}

/** Which other order would bring more; null where none would. */
export function orderSentence(
  { betterOrder, best }: MatchForecast,
  { bestOf }: Match,
  nameOf: (launchId: string) => string,
): string | null {
  if (betterOrder === null) return null;
  const order = betterOrder.order.map(nameOf).join(', then ');
  const ofBest =
    bestOf === 1 ? '' : `, and ${number(betterOrder.best - best)} the best of ${bestOf}`;
  return `Another order would bring ${number(betterOrder.more)} points more on average${ofBest}: ${order}.`;
}

/** From which launches on the time between them is a guess; null where all were measured. */
export function changeOverSentence(
  launches: readonly Launch[],
  nameOf: (launchId: string) => string,
): string | null {
  const guessed = launches
    .slice(1)
    .filter(({ changeOversS }) => changeOversS.length < ENOUGH_CHANGE_OVERS);
  if (guessed.length === 0) return null;
  const none = guessed.every(({ changeOversS }) => changeOversS.length === 0);
  const before = guessed.map(({ id }) => nameOf(id)).join(', ');
  return `The time to have the robot ready before ${before} is ${none ? 'a guess' : 'partly a guess'}: measure ${ENOUGH_CHANGE_OVERS} change-overs${guessed.length > 1 ? ' of each' : ''}.`;
}

/** So many points: the chance of at least as many in one match, and in one of as many as count. */
interface Rung {
  points: number;
  chance: number;
  inOneOf: number;
}

/** The chance of so many points, for each amount that matches come to: at most so many, the most first. */
export function pointsLadder(
  { points }: MatchForecast,
  { bestOf }: Pick<Match, 'bestOf'>,
  rungs: number,
): Rung[] {
  const all = points.map((one): Rung => {
    const chance = chanceOfAtLeast(points, one.points);
    return { points: one.points, chance, inOneOf: 1 - (1 - chance) ** bestOf };
  });
  if (all.length <= rungs) return all.toReversed();
  // Those in the middle of equal steps of the chance say the most.
  const wanted = Array.from({ length: rungs }, (_, i) => (i + 0.5) / rungs);
  const near = wanted.map((chance) =>
    all.reduce((best, one) =>
      Math.abs(one.chance - chance) < Math.abs(best.chance - chance) ? one : best,
    ),
  );
  return [...new Set(near)].toSorted((a, b) => b.points - a.points);
}
