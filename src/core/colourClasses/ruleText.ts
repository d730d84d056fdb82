import { shortNumber } from '../text/quantities';
import type { Bounds, Box, ColourRule } from './rules';

const DECIMALS = 4;
const figure = (value: number): string => shortNumber(value, DECIMALS);

function boundsText({ column: { words }, low, high }: Bounds): string {
  if (low !== null && high !== null) return `${words} between ${figure(low)} and ${figure(high)}`;
  if (low !== null) return `${words} ${figure(low)} or more`;
  return high === null ? '' : `${words} ${figure(high)} or less`;
}

const boxText = (box: Box): string => box.map(boundsText).filter(Boolean).join(' and ');

/** "red: hue between 340 and 20, or value 12 or less". */
export function ruleSentence({ name, boxes }: ColourRule): string {
  const texts = boxes.map(boxText);
  return texts.some((text) => text === '')
    ? `${name}: whatever it reads, nothing parts it from the others.`
    : `${name}: ${texts.join(', or ')}.`;
}

/** What a sensor that says classes itself says of one. */
export const shownSentence = (name: string, shown: readonly string[]): string =>
  shown.length === 0
    ? `${name}: what it says of it, it says more often of another.`
    : `${name}: it says ${shown.map((one) => `“${one}”`).join(' or ')}.`;
