import { channelsIn } from '../core/channels/log';
import type { Log } from './toLog';

const CROCKFORD = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** MurmurHash3's mixing of one more 32-bit word. */
function mixIn(hash: number, word: number): number {
  let k = Math.imul(word, 0xcc9e2d51);
  k = Math.imul((k << 15) | (k >>> 17), 0x1b873593);
  const h = hash ^ k;
  return (Math.imul((h << 13) | (h >>> 19), 5) + 0xe6546b64) | 0;
}

/** 125 bits of five hashes with different beginnings, in letters and digits. */
function fingerprint(parts: Iterable<Iterable<number>>): string {
  const hashes = [0x9e3779b9, 0x7f4a7c15, 0x94d049bb, 0x2545f491, 0x1b56c4e9];
  for (const words of parts) {
    for (const word of words) {
      for (let i = 0; i < hashes.length; i += 1) hashes[i] = mixIn(hashes[i] ?? 0, word);
    }
  }
  const digits = hashes.flatMap((hash) =>
    Array.from({ length: 5 }, (_, i) => CROCKFORD[(hash >>> (5 * i)) & 31] ?? '0'),
  );
  return digits.join('');
}

const lettersOf = (text: string): number[] => Array.from(text, (letter) => letter.charCodeAt(0));

/** What a log holds, as a word: the same readings make the same word. Long work for a long log. */
export function contentOf(log: Log): string {
  const series = channelsIn(log.columns).toSorted(([a], [b]) => a.localeCompare(b));
  return fingerprint(
    [log.tS, ...series.map(([, column]) => column)].map(
      (values) => new Uint32Array(Float64Array.from(values).buffer),
    ),
  );
}

/** The identifier of a robot's log, written like every identifier of Corvat's: the same file again is the same log. */
export const contentId = (content: string, robotId: string): string =>
  `0${fingerprint([lettersOf(robotId), lettersOf(content)])}`;
