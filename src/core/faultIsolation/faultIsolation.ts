import { logGamma } from '../stats/logGamma';
import { LINK_NAMES, type Link } from './links';

/** A look at something that misbehaves: with one link exchanged, or with all as they were. */
export interface FaultLook {
  exchanged: Link | null;
  /** Whether the fault showed. */
  showed: boolean;
}

/** A link, with what the looks say of it. */
export interface LinkFound {
  link: Link;
  /** With it exchanged: so many looks, and how often the fault showed all the same. */
  looks: number;
  faults: number;
  /** How probable it is that the fault lies there. */
  probability: number;
  /** The fault showed with it exchanged: it lies elsewhere. */
  isCleared: boolean;
}

export interface FaultIsolation {
  links: LinkFound[];
  /** With everything as it was. */
  asItWas: { looks: number; faults: number };
  /** How probable it is that the fault lies in none of them. */
  elsewhere: number;
  /** The one that is named; null: not yet. */
  guilty: Link | null;
  /** The next to exchange, and how many looks in a row without the fault would name it; null: nothing is left to do. */
  next: { link: Link; looks: number } | null;
}

/** A link is named from this probability on: how often the fault shows is itself hardly known, and 19 of 20 are to be right. */
const NAMED = 0.97;
/** That it is none of the links is believed beforehand as much as half of one of them. */
const ELSEWHERE = 0.5;
/** More looks at one link nobody makes. */
const MOST_LOOKS = 200;

const logBeta = (a: number, b: number): number => logGamma(a) + logGamma(b) - logGamma(a + b);

interface Count {
  looks: number;
  faults: number;
}

const countOf = (looks: readonly FaultLook[]): Count => ({
  looks: looks.length,
  faults: looks.filter(({ showed }) => showed).length,
});

/** How probable looks are in which the fault shows equally often, whatever that is: a uniform share, integrated. */
const logEvidence = ({ looks, faults }: Count): number => logBeta(faults + 1, looks - faults + 1);

const less = (all: Count, part: Count): Count => ({
  looks: all.looks - part.looks,
  faults: all.faults - part.faults,
});

/** How probable it is that the fault lies in each link; the rest of 1 is elsewhere. */
function probabilities(all: Count, exchanged: readonly Count[]): number[] {
  const logs = exchanged.map((own) => (own.faults > 0 ? -Infinity : logEvidence(less(all, own))));
  const none = Math.log(ELSEWHERE) + logEvidence(all);
  const highest = Math.max(none, ...logs);
  const weights = logs.map((log) => Math.exp(log - highest));
  const sum = weights.reduce((total, one) => total + one, Math.exp(none - highest));
  return weights.map((one) => one / sum);
}

/** How many more looks in a row without the fault name a link. */
function looksToName(all: Count, exchanged: readonly Count[], at: number): number {
  for (let more = 1; more <= MOST_LOOKS; more += 1) {
    const then = exchanged.map((own, i) => (i === at ? { ...own, looks: own.looks + more } : own));
    const total = { ...all, looks: all.looks + more };
    if ((probabilities(total, then)[at] ?? 0) >= NAMED) return more;
  }
  return MOST_LOOKS;
}

/** So many looks with everything as it was, and so many faults in them, come before any exchange. */
const FIRST_LOOKS = 3;
const FIRST_FAULTS = 2;

/** Whether it is known how often the fault shows, so that its absence can mean something. */
export const isSeenEnough = ({ looks, faults }: Count): boolean =>
  looks >= FIRST_LOOKS && faults >= FIRST_FAULTS;

/**
 * In which link a fault lies that shows always or now and then, from looks in which one link at a time is exchanged. A
 * fault that shows with a link exchanged clears it; its absence speaks against it the more, the more often the fault shows
 * otherwise (Bayes, the share of looks with a fault unknown and integrated out).
 */
export function faultIsolation(looks: readonly FaultLook[]): FaultIsolation {
  const all = countOf(looks);
  const asItWas = countOf(looks.filter(({ exchanged }) => exchanged === null));
  const exchanged = LINK_NAMES.map((link) =>
    countOf(looks.filter((one) => one.exchanged === link)),
  );
  const probable = probabilities(all, exchanged);
  const links = LINK_NAMES.map((link, i): LinkFound => {
    const { looks: n, faults } = exchanged[i] ?? { looks: 0, faults: 0 };
    return {
      link,
      looks: n,
      faults,
      probability: probable[i] ?? 0,
      isCleared: faults > 0,
    };
  });
  const named = links.find(({ probability }) => probability >= NAMED);
  const guilty = all.faults > 0 ? (named?.link ?? null) : null;
  // Whatever is begun is brought to its end first; then the easiest that is open.
  const open = links.filter(({ isCleared }) => !isCleared);
  const begun = open.filter((one) => one.looks > 0);
  const [candidate] = guilty === null ? (begun.length > 0 ? begun : open) : [];
  return {
    links,
    asItWas,
    elsewhere: 1 - probable.reduce((sum, one) => sum + one, 0),
    guilty,
    next:
      candidate === undefined || !isSeenEnough(asItWas)
        ? null
        : {
            link: candidate.link,
            looks: looksToName(all, exchanged, LINK_NAMES.indexOf(candidate.link)),
          },
  };
}

/**
 * How often a fault has to stay away in a row until that means something, where it shows in such a share of looks: by
 * chance it would in 5 of 100.
 */
export const looksInARow = (share: number): number =>
  share >= 1 ? 1 : Math.ceil(Math.log(0.05) / Math.log(1 - share));
