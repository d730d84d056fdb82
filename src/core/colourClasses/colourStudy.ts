import { wilson } from '../stats/wilson';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { capitalised } from '../text/capitalised';
import { counted, errorLength, percent } from '../text/quantities';
import { oneIn } from '../text/oneIn';
import { colourClasses, type ColourClasses } from './colourClasses';
import { samplesOf, type ColourReadOff, type SaidScale } from './colourTrials';
import { clippedIn } from './conditions';
import type { ColourSample } from './reading';
import { byReferences, type ReferenceNames, type References } from './references';
import type { ColourScale } from './scale';

const PERCENT = 100;
/** Fewer readings of a colour say little of how it spreads. */
const FEW_EACH = 5;
/** A share that is mistaken without being told of. */
const TOO_MANY = 0.02;

export interface ColourStudy {
  found: ColourClasses;
  samples: readonly ColourSample[];
  scale: ColourScale;
  /** The same as they were counted, without references. */
  counted: { samples: readonly ColourSample[]; scale: ColourScale };
  /** By what references readings are told, in counts; null: as they are counted. */
  references: References | null;
  sentences: ThreeSentences;
}

/** The pair that is mistaken most often: which is taken for which. */
function worstPair({ confusion: { names, counts } }: ColourClasses) {
  const pairs = counts.flatMap((row, c) =>
    row.flatMap((wrong, k) =>
      k === c || wrong === 0
        ? []
        : [{ of: names[c] ?? '', as: names[k] ?? '', wrong, n: row.reduce((a, b) => a + b, 0) }],
    ),
  );
  return pairs.toSorted((a, b) => b.wrong / b.n - a.wrong / a.n)[0] ?? null;
}

function foundSentence(found: ColourClasses): string {
  const { errorRate, ways, representation, confusion } = found;
  const way = ways.find(({ id }) => id === representation)?.name ?? representation;
  const rate =
    errorRate.value === 0
      ? 'none was mistaken'
      : `${oneIn(errorRate.value, 'reading')} is mistaken`;
  return `${capitalised(confusion.names.join(', '))}: told apart by ${way}, ${rate} (at most ${oneIn(errorRate.high95, 'reading')}).`;
}

function meansSentence(found: ColourClasses): string {
  const worst = worstPair(found);
  const mistaken =
    worst === null
      ? 'Each reading was judged by the others.'
      : `Most often ${worst.of} is taken for ${worst.as}: ${worst.wrong} of ${worst.n}.`;
  const others = found.ways.filter(({ id, isAlike }) => isAlike && id !== found.representation);
  const alike =
    others.length === 0
      ? ''
      : ` As good, as far as these readings tell: ${others.map(({ name }) => name).join('; ')}.`;
  return `${mistaken}${alike}${found.refused.map(({ why }) => ` ${why}`).join('')}`;
}

/** A unit that is mistaken far more often than all others together; null where none is. */
function oddUnit({ under }: ColourClasses): { unit: string; wrong: number; n: number } | null {
  const units = [...new Set(under.flatMap(({ unit }) => unit ?? []))];
  const sum = (of: readonly { wrong: number; n: number }[]) => ({
    wrong: of.reduce((all, { wrong }) => all + wrong, 0),
    n: of.reduce((all, { n }) => all + n, 0),
  });
  for (const unit of units) {
    const own = sum(under.filter((one) => one.unit === unit));
    const others = sum(under.filter((one) => one.unit !== unit && one.unit !== null));
    const [low, high] = [wilson(own.wrong, own.n), wilson(others.wrong, others.n)];
    if (low !== null && high !== null && low.low95 > high.high95) return { unit, ...own };
  }
  return null;
}

function nextSentence(found: ColourClasses): string {
  const [clipped] = found.clipped;
  if (clipped !== undefined) {
    return `${counted(clipped.n, 'reading')} of ${clipped.name} stand at the end of the scale: brighter ones would read the same. Raise the sensor a little, and read it again.`;
  }
  const few = found.classes.find(({ n }) => n < FEW_EACH);
  if (few !== undefined) return `Read ${few.name} more often: ${few.n} of ${FEW_EACH} so far.`;
  const odd = oddUnit(found);
  if (odd !== null) {
    return `${odd.unit} is mistaken in ${odd.wrong} of ${odd.n}, the others less: give it classes of its own, in a list of its own.`;
  }
  const far = found.under.find(({ wrong, n }) => n >= FEW_EACH && wrong > 2 * TOO_MANY * n);
  if (far !== undefined && far.distanceM !== null && found.errorRate.value <= 2 * TOO_MANY) {
    return `At ${errorLength(far.distanceM)} ${far.wrong} of ${far.n} are mistaken: keep the sensor closer.`;
  }
  if (found.errorRate.value > TOO_MANY) {
    return 'Bring the sensor to one height, shade it from the lamps, or leave a colour out that is hard to tell.';
  }
  return found.againstRules === 0
    ? 'Type in the inequalities below; apply it, so that the record holds them.'
    : `The inequalities below are simpler than that: by them ${counted(found.againstRules, 'reading')} of these would be wrong.`;
}

/** What readings of colours say, in three sentences; null until there are two readings each of two. */
export function colourStudy(
  readings: readonly ColourReadOff[],
  said: SaidScale & Partial<ReferenceNames>,
): ColourStudy | null {
  const counted = samplesOf(readings, said);
  const { white = '', black = '' } = said;
  const told = said.shows === 'rgb' ? byReferences(counted.samples, { white, black }) : null;
  const samples = told?.samples ?? counted.samples;
  // Told by references they are percent of white.
  const scale = told === null ? counted.scale : { ...counted.scale, counts: PERCENT };
  const inCounts = (shares: [number, number, number]) =>
    shares.map((share) => share * counted.scale.counts) as [number, number, number];
  const classes = colourClasses(samples, scale);
  if (classes === null) return null;
  // What stands at the end of the scale does so as it is counted.
  const found = {
    ...classes,
    clipped: clippedIn(classes.confusion.names, counted.samples),
  };
  return {
    found,
    samples,
    scale,
    counted,
    references: told && {
      white: inCounts(told.references.white),
      black: inCounts(told.references.black),
    },
    sentences: {
      found: foundSentence(found),
      means: meansSentence(found),
      next: nextSentence(found),
    },
  };
}

/** How often in each condition, in words: "2 cm, lamp: 1 of 20". */
export const underText = ({
  distanceM,
  light,
  unit,
  wrong,
  n,
}: ColourClasses['under'][number]): string => {
  const where = [unit, distanceM === null ? null : errorLength(distanceM), light].filter(
    (one) => one !== null,
  );
  return `${where.join(', ')}: ${wrong} of ${n} (${percent(wrong / n)})`;
};
