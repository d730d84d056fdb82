import { FIGURE, meanText } from './figures';
import type { About } from './plannedVerdict';
import type { Effect, TwoByTwo } from './twoByTwo';
import { wayLabels } from './ways';

export const NOT_YET =
  'Not to be judged yet: the answers stand here when all runs are made. Looking earlier, and stopping when it looks good, would fool you.';

/** "from 4 mm less to 1 mm more", "4 mm to 9 mm less". */
function interval(about: About, { low95, high95 }: Effect): string {
  const size = (value: number) => meanText(about, Math.abs(value));
  const word = (value: number) => (value < 0 ? 'less' : 'more');
  if (word(low95) !== word(high95)) return `from ${size(low95)} less to ${size(high95)} more`;
  const [near, far] = low95 < 0 ? [high95, low95] : [low95, high95];
  return `${size(near)} to ${size(far)} ${word(near)}`;
}

const asTitle = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function changeSentence(about: About, name: string, effect: Effect): string {
  const what = `“${asTitle(name)}”`;
  if (!effect.isShown) {
    const chance =
      effect.low95 < 0 === effect.high95 < 0
        ? '; with three questions asked at once, chance brings about as much too often'
        : '';
    return `${what} is not shown to change the ${FIGURE[about]}: ${interval(about, effect)}${chance}.`;
  }
  const isGood = about === 'success' ? effect.change > 0 : effect.change < 0;
  const word = effect.change < 0 ? 'less' : 'more';
  return `${what} ${isGood ? 'helped' : 'hurt'}: ${FIGURE[about]} ${meanText(about, Math.abs(effect.change))} ${word} (${interval(about, effect)}).`;
}

/** The four answers of a plan of two changes: what each does, whether they need each other, which way to keep. */
export function twoByTwoSentences(
  about: About,
  changes: readonly [string, string],
  found: TwoByTwo,
): string[] {
  const [first, second] = changes;
  const keep = wayLabels(changes)[found.keep] ?? '';
  const { together } = found;
  return [
    changeSentence(about, first, found.first),
    changeSentence(about, second, found.second),
    together.isShown
      ? `They depend on each other: with “${second}”, “${first}” brings ${meanText(about, Math.abs(together.change))} ${together.change < 0 ? 'less' : 'more'} ${FIGURE[about]} than without it.`
      : `That one changes what the other does is not shown: ${interval(about, together)}.`,
    found.keep === 0
      ? `Keep neither: nothing is shown to help.`
      : `Keep ${keep}: ${FIGURE[about]} ${meanText(about, found.means[found.keep])}, with neither ${meanText(about, found.means[0])}.`,
  ];
}
