import { randomStream } from '../stats/random';
import { isWithin } from '../colour/inequalities';
import type { Bounds, ColourRule } from './rules';
import type { ColourReading, ColourSample } from './reading';
import type { ColourScale } from './scale';

/** What comes of a program that reads the sensor anew for each question that it asks. */
export interface ReadAnew {
  /** So many questions it asks until it has gone through all colours. */
  questions: number;
  /** Of readings over one colour, taken for another: one reading for all questions, or one for each. */
  onceWrong: number;
  anewWrong: number;
  /** A colour that is passed to another while it asks is taken for a third in so many of the places where that may be. */
  thirdShare: number;
  /** Where that happens most often; null: nowhere. */
  worst: { from: string; to: string; third: string; share: number } | null;
}

const DRAWS = 400;
const SEED = 2431;
/** A third colour at fewer of the places is hardly ever read. */
const LEAST_SHARE = 0.05;

/** Which colour a program finds that tries the rules in order, by the reading that each question gets; null: none. */
export function takenFor(
  rules: readonly ColourRule[],
  readingFor: (question: number) => ColourReading,
  scale: ColourScale,
): { name: string | null; asked: number } {
  let asked = 0;
  /** "At least", and "at most": each is a question of its own. */
  const side = (bounds: Bounds) => {
    const reading = readingFor(asked);
    asked += 1;
    return isWithin(bounds, bounds.column.of(reading, scale));
  };
  const holds = (bounds: Bounds) => {
    const { low, high } = bounds;
    if (low === null || high === null) return side(bounds);
    const [atLeast, atMost] = [
      { ...bounds, high: null },
      { ...bounds, low: null },
    ];
    // A hue that begins above its end goes over the seam: either will do.
    return low > high ? side(atLeast) || side(atMost) : side(atLeast) && side(atMost);
  };
  for (const { name, boxes } of rules) {
    if (boxes.some((box) => box.length > 0 && box.every(holds))) return { name, asked };
  }
  return { name: null, asked };
}

/** Readings that came under the same conditions as one: only those could have come in its place. */
const alike = (samples: readonly ColourSample[], { name, distanceM, light, unit }: ColourSample) =>
  samples
    .filter(
      (one) =>
        one.name === name &&
        one.distanceM === distanceM &&
        one.light === light &&
        one.unit === unit,
    )
    .map(({ reading }) => reading);

function wrongAtRest(
  samples: readonly ColourSample[],
  rules: readonly ColourRule[],
  scale: ColourScale,
) {
  const random = randomStream(SEED, 0, 'read anew');
  const mates = samples.map((one) => alike(samples, one));
  let [once, anew, n] = [0, 0, 0];
  const repeats = Math.max(1, Math.ceil(DRAWS / samples.length));
  for (const [i, { name, reading }] of samples.entries()) {
    const own = mates[i] ?? [];
    const any = () => own[Math.floor(random.uniform() * own.length)] ?? reading;
    const isWrong = (found: string | null) => (found === name ? 0 : 1);
    const wrongOnce = isWrong(takenFor(rules, () => reading, scale).name);
    for (let k = 0; k < repeats; k += 1) {
      once += wrongOnce;
      anew += isWrong(takenFor(rules, any, scale).name);
      n += 1;
    }
  }
  return { onceWrong: once / n, anewWrong: anew / n };
}

/** The reading of a colour that lies in the middle of its own, by what it reads on average in each column. */
function typicalOf(
  samples: readonly ColourSample[],
  name: string,
  rules: readonly ColourRule[],
  scale: ColourScale,
) {
  const own = samples.filter((one) => one.name === name).map(({ reading }) => reading);
  return (
    own.find((reading) => takenFor(rules, () => reading, scale).name === name) ?? own[0] ?? null
  );
}

/** The colour changes after so many questions: which third colour that makes, place by place. */
function acrossEdges(
  samples: readonly ColourSample[],
  rules: readonly ColourRule[],
  scale: ColourScale,
  questions: number,
) {
  const typical = rules.map(({ name }) => ({
    name,
    reading: typicalOf(samples, name, rules, scale),
  }));
  let [places, thirds] = [0, 0];
  let worst: ReadAnew['worst'] = null;
  for (const from of typical) {
    for (const to of typical) {
      if (from === to || from.reading === null || to.reading === null) continue;
      const [before, after] = [from.reading, to.reading];
      const found = new Map<string, number>();
      for (let changes = 1; changes < questions; changes += 1) {
        const { name } = takenFor(
          rules,
          (question) => (question < changes ? before : after),
          scale,
        );
        places += 1;
        if (name === null || name === from.name || name === to.name) continue;
        thirds += 1;
        found.set(name, (found.get(name) ?? 0) + 1 / (questions - 1));
      }
      for (const [third, share] of found) {
        if (share >= LEAST_SHARE && share > (worst?.share ?? 0)) {
          worst = { from: from.name, to: to.name, third, share };
        }
      }
    }
  }
  return { thirdShare: places === 0 ? 0 : thirds / places, worst };
}

/**
 * What it costs to read the sensor anew for each question: noise that differs from question to question, and colours that
 * change while it asks. By the team's own readings, drawn with a fixed seed.
 */
export function readAnew(
  samples: readonly ColourSample[],
  rules: readonly ColourRule[],
  scale: ColourScale,
): ReadAnew | null {
  const questions = rules
    .flatMap(({ boxes }) => boxes.flat())
    .reduce((sum, { low, high }) => sum + (low === null ? 0 : 1) + (high === null ? 0 : 1), 0);
  if (questions < 2 || samples.length === 0) return null;
  return {
    questions,
    ...wrongAtRest(samples, rules, scale),
    ...acrossEdges(samples, rules, scale, questions),
  };
}
