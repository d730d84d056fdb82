import type { ColourNumber, ColourRules } from '../../colour/inequalities';
import type { Robot } from '../../robot/robot';
import { shortNumber } from '../../text/quantities';
import type { OwnerOf } from '../descriptions';
import { coloursTold } from './told';

const WORDS: Record<ColourNumber, string> = {
  r: 'red',
  g: 'green',
  b: 'blue',
  clear: 'clear',
  rPercent: 'red’s percent of all three',
  gPercent: 'green’s percent of all three',
  bPercent: 'blue’s percent of all three',
  h: 'hue',
  s: 'saturation',
  v: 'value',
};

const PERCENT = 100;
const isShare = (by: ColourNumber): boolean => ['r', 'g', 'b', 'clear'].includes(by);

function bandWords({ by, low, high }: ColourRules['boxes'][number][number]): string[] {
  const unit = by === 'h' ? '°' : ' %';
  const figure = (value: number) => shortNumber(isShare(by) ? PERCENT * value : value, 1) + unit;
  if (low !== null && high !== null)
    return [`${WORDS[by]} between ${figure(low)} and ${figure(high)}`];
  if (low !== null) return [`${WORDS[by]} ${figure(low)} or more`];
  return high === null ? [] : [`${WORDS[by]} ${figure(high)} or less`];
}

/** How a step's colours are told apart, one sentence each, and what that rests on. */
export function toldWords(step: OwnerOf<'decide-colour'>, robot: Robot): string[] {
  const { rules, isGuess, unknown } = coloursTold(step, robot);
  const sentences = rules.map(({ name, boxes }) => {
    const texts = boxes.map((box) => box.flatMap(bandWords).join(' and '));
    return `${name}: ${texts.join(', or ')}?`;
  });
  const nobody = unknown.map((name) => `${name}: nobody has read it?`);
  const rests = isGuess ? ['A guess, until its colours have been read on the Bench.'] : [];
  return [...sentences, ...nobody, ...rests];
}
