import type { ThreeSentences } from '../gyro/still/stillSentence';
import { capitalised } from '../text/capitalised';
import { counted, percent } from '../text/quantities';
import {
  faultIsolation,
  isSeenEnough,
  looksInARow,
  type FaultIsolation,
  type FaultLook,
} from './faultIsolation';
import { LINKS, type Link } from './links';

/** A look as it is kept. */
export interface KeptLook {
  exchanged: Link | 'nothing';
  showed: 'yes' | 'no';
}

export const lookOf = ({ exchanged, showed }: KeptLook): FaultLook => ({
  exchanged: exchanged === 'nothing' ? null : exchanged,
  showed: showed === 'yes',
});

const words = (link: Link): string => LINKS[link].words;

function foundSentence({ guilty, links, asItWas, elsewhere }: FaultIsolation): string {
  if (guilty !== null) {
    const { looks, probability } = links.find(({ link }) => link === guilty) ?? {
      looks: 0,
      probability: 0,
    };
    const evidence =
      looks === 0
        ? 'all others are cleared'
        : `with another one the fault did not show in ${counted(looks, 'look')}`;
    return `It is ${words(guilty)}: ${evidence} (${percent(probability)} sure).`;
  }
  const cleared = links.filter(({ isCleared }) => isCleared).map(({ link }) => words(link));
  if (cleared.length === links.length && elsewhere > 0) {
    return 'It is none of these: the fault shows with each of them exchanged.';
  }
  const seen = `With everything as it was the fault showed in ${asItWas.faults} of ${counted(asItWas.looks, 'look')}.`;
  return cleared.length === 0 ? seen : `${seen} ${capitalised(cleared.join(', '))}: cleared.`;
}

function meansSentence({ asItWas }: FaultIsolation): string {
  if (asItWas.faults === 0) {
    return 'Until it has shown there is nothing to look for: go on looking.';
  }
  const share = asItWas.faults / asItWas.looks;
  return share >= 1
    ? 'It showed each time: a single look without it already means something.'
    : `A fault that shows in ${percent(share)} of looks stays away ${looksInARow(share)} times in a row by chance only once in twenty.`;
}

function nextSentence({ guilty, next, asItWas }: FaultIsolation): string {
  if (guilty !== null) {
    return `Leave the other one in, and note the exchange in the record: what was measured with ${words(guilty)} may not hold any more.`;
  }
  if (!isSeenEnough(asItWas)) {
    return 'Exchange nothing yet. Look until the fault has shown twice: then it is known how often it shows.';
  }
  if (next === null)
    return 'Look at what is around it: the mount, the battery, the light, another motor nearby.';
  return `Exchange ${words(next.link)}. ${LINKS[next.link].how} ${capitalised(counted(next.looks, 'look'))} in a row without the fault name it; the first fault clears it.`;
}

/** What looks at a fault say, in three sentences; null before the first. */
export function faultStudy(
  looks: readonly KeptLook[],
): { found: FaultIsolation; sentences: ThreeSentences } | null {
  if (looks.length === 0) return null;
  const found = faultIsolation(looks.map(lookOf));
  return {
    found,
    sentences: {
      found: foundSentence(found),
      means: meansSentence(found),
      next: nextSentence(found),
    },
  };
}
