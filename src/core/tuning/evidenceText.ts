import { counted, number } from '../text/quantities';
import type { GainJudgement, GainVerdict } from './judge';

/** What a trace is judged by, in a sentence that begins with the verdict. */
export function evidenceText(judged: GainJudgement | null): string {
  if (judged === null) {
    return 'Too short to tell: push it, and let it drive on for at least two seconds.';
  }
  const { verdict, swings, saturatedShare } = judged;
  const { swings: all, decay, returnS } = swings;
  const back = returnS === null ? 'it does not come back' : `back after ${number(returnS, 1)} s`;
  const swinging =
    decay === null
      ? ''
      : `, ${counted(all.length, 'swing')}, each ${number(100 * decay)} % of the one before`;
  const limited =
    saturatedShare > 0.1
      ? `; the correction stands at its limit for ${number(100 * saturatedShare)} % of the time`
      : '';
  const words: Record<GainVerdict, string> = {
    good: `Good: ${back}${swinging}.`,
    'too-weak': `Too weak: ${back}${swinging}.`,
    'too-strong': `Too strong: ${back}${swinging}${limited}.`,
    'wrong-sign': 'Wrong sign: what it does drives the error on.',
  };
  return words[verdict];
}
