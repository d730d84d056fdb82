import type { ThreeSentences } from '../gyro/still/stillSentence';
import { degrees, number, percent } from '../text/quantities';
import { squaring, type Squaring, type SquaringPower, type SquaringTrial } from './squaring';

/** Robots come to a wall about so far off, where the trials do not say more. */
const LEAST_START_RAD = (3 * Math.PI) / 180;
/** Less than this share of the scatter that stays is not worth pressing for. */
const WORTH_PRESSING = 0.5;

/** Which power to press with, and how long. */
export interface PressAdvice {
  power: number;
  timeS: number;
  /** From this error on, which is what the worst trials began with. */
  fromRad: number;
  leftRad: number;
}

export interface SquaringStudy {
  found: Squaring;
  advice: PressAdvice;
  sentences: ThreeSentences;
}

/** What is left of an error after pressing so long. */
export const leftAfter = ({ timeConstantS }: SquaringPower, timeS: number): number =>
  Math.exp(-timeS / timeConstantS);

/** How long it takes until half of an error is left. */
export const halvedS = (timeConstantS: number): number => timeConstantS * Math.LN2;

/** Of the powers that were tried the one that is done first: when the rest is lost in the scatter that stays. */
function adviceOf({ powers, residualSdRad }: Squaring, trials: readonly SquaringTrial[]) {
  const fromRad = Math.max(LEAST_START_RAD, ...trials.map(({ beforeRad }) => Math.abs(beforeRad)));
  const enough = Math.min(fromRad, WORTH_PRESSING * residualSdRad);
  const [fastest] = powers.toSorted((a, b) => a.timeConstantS - b.timeConstantS);
  if (fastest === undefined) return null;
  const timeS = fastest.timeConstantS * Math.log(fromRad / enough);
  return { power: fastest.power, timeS, fromRad, leftRad: fromRad * leftAfter(fastest, timeS) };
}

function nextSentence({ powers }: Squaring): string {
  const [weakest] = powers;
  if (powers.length < 2 && weakest !== undefined) {
    return `Press with another power as well, ${percent(weakest.power < 0.4 ? 0.5 : 0.25)} say: ${percent(weakest.power)} is all that was tried.`;
  }
  const open = powers.find(({ low95, high95, timeConstantS }) => high95 - low95 > timeConstantS);
  return open === undefined
    ? 'Put that power and time into the program, and let it set the heading when it has pressed.'
    : `At ${percent(open.power)} it is hardly known yet: begin further off the wall’s direction, and press for half as long.`;
}

/** What pressing against a wall says, in three sentences. */
export function squaringStudy(trials: readonly SquaringTrial[]): SquaringStudy | null {
  const found = squaring(trials);
  const advice = found && adviceOf(found, trials);
  if (found === null || advice === null) return null;
  const best = found.powers.find(({ power }) => power === advice.power);
  const once = best === undefined ? 1 : leftAfter(best, advice.timeS / 2);
  const range =
    best === undefined || !Number.isFinite(best.high95)
      ? ''
      : `; it halves every ${number(halvedS(best.low95), 2)} to ${number(halvedS(best.high95), 2)} s`;
  return {
    found,
    advice,
    sentences: {
      found: `Press with ${percent(advice.power)} for ${number(advice.timeS, 1)} s: of ${degrees(advice.fromRad)} it leaves ${degrees(advice.leftRad, 2)}${range}.`,
      means: `However long it presses, headings scatter by ${degrees(found.residualSdRad, 2)} afterwards. Half that time leaves ${percent(once)}, and pressing a second time as long takes the same share of the rest: no more than pressing longer.`,
      next: nextSentence(found),
    },
  };
}
