import { normalCdf } from '../stats/normalCdf';
import { radiansFromDegrees } from '../geometry/angle';
import { counted, degrees } from '../text/quantities';
import { sideOf } from '../calibrationValues/turnCommand';

/** How a turn looked: not far enough, right, or too far. */
export type Seen = 'under' | 'right' | 'over';

/** A turn that was only looked at: what the program was told, what it was to make, how that looked. Magnitudes. */
export interface EyeLook {
  seen: Seen;
  commandedRad: number;
  wantedRad: number;
  /** So many such turns were made before anybody looked, as in a square: what each is off by adds up. Left out: one. */
  times?: number;
}

export interface EyeAdvice {
  wantedRad: number;
  /** How far turns go beyond what they are told, on average. */
  beyondRad: number;
  low95Rad: number;
  high95Rad: number;
  /** To tell next, or to keep: whole degrees. */
  tellRad: number;
  /** Telling it looked right twice. */
  isFound: boolean;
  sentence: string;
}

/** What looks right to the eye: within so much. */
export const EYE_STEP_RAD = radiansFromDegrees(3);
/** Turns go beyond what they are told by about so much, or fall short by it. */
const USUAL_RAD = radiansFromDegrees(9);
/** Programs are told whole degrees when nobody measures; half degrees where several turns were looked at together. */
const TOLD_STEP_RAD = radiansFromDegrees(1);
const commandStepOf = (looks: readonly EyeLook[]): number =>
  looks.some(({ times = 1 }) => times > 1) ? TOLD_STEP_RAD / 2 : TOLD_STEP_RAD;
/** So many looks that were right at one number end the search. */
const LOOKS_THAT_END_IT = 2;

const BEYOND = Array.from({ length: 241 }, (_, i) => radiansFromDegrees((i - 120) / 4));
const SPREADS = Array.from({ length: 20 }, (_, i) => radiansFromDegrees(0.5 * (i + 1)));

function likelihood(beyond: number, sd: number, looks: readonly EyeLook[]): number {
  return looks.reduce((product, { seen, commandedRad, wantedRad, times = 1 }) => {
    const off = times * (commandedRad + beyond - wantedRad);
    const sdOfAll = Math.sqrt(times) * sd;
    const under = normalCdf(-EYE_STEP_RAD, off, sdOfAll);
    const over = 1 - normalCdf(EYE_STEP_RAD, off, sdOfAll);
    const chance = { under, over, right: Math.max(0, 1 - under - over) };
    return product * Math.max(chance[seen], 1e-12);
  }, 1);
}

/**
 * What to tell a turn that is only looked at, so that it makes a wanted angle: an ordinal probit with known steps,
 * turns held to go beyond what they are told, or short of it, by some 9°, and any scatter of up to 10° equally likely
 * beforehand. The next number to tell lies in the middle of what is left, so that looks bracket it.
 *
 * Four turns of a square that are looked at when it should be closed tell four times as much of one.
 *
 * Source: Agresti, Analysis of Ordinal Categorical Data, 2nd ed., 2010, chapter 5; summed on a grid.
 * @param looks of one wanted angle and one side
 */
export function adviceByEye(looks: readonly EyeLook[]): EyeAdvice | null {
  const wantedRad = looks.at(-1)?.wantedRad;
  if (wantedRad === undefined) return null;
  const weights = BEYOND.map(
    (beyond) =>
      Math.exp(-0.5 * (beyond / USUAL_RAD) ** 2) *
      SPREADS.reduce((sum, sd) => sum + likelihood(beyond, sd, looks), 0),
  );
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const quantile = (share: number) => {
    let sum = 0;
    for (const [i, weight] of weights.entries()) {
      sum += weight / total;
      if (sum >= share) return BEYOND[i] ?? 0;
    }
    return BEYOND.at(-1) ?? 0;
  };
  const beyondRad = BEYOND.reduce((sum, one, i) => sum + (one * (weights[i] ?? 0)) / total, 0);
  const right = looks.filter(({ seen }) => seen === 'right');
  const kept = right.find(
    ({ commandedRad }) =>
      right.filter((one) => Math.abs(one.commandedRad - commandedRad) < commandStepOf(looks) / 2)
        .length >= LOOKS_THAT_END_IT,
  );
  const stepRad = commandStepOf(looks);
  const told = stepRad * Math.round((wantedRad - beyondRad) / stepRad);
  const found = {
    wantedRad,
    beyondRad,
    low95Rad: quantile(0.025),
    high95Rad: quantile(0.975),
    tellRad: kept?.commandedRad ?? Math.max(stepRad, told),
    isFound: kept !== undefined,
  };
  return { ...found, sentence: sentenceOf(found, looks) };
}

function sentenceOf(
  { wantedRad, low95Rad, high95Rad, tellRad, isFound }: Omit<EyeAdvice, 'sentence'>,
  looks: readonly EyeLook[],
): string {
  const isSquare = looks.some(({ times = 1 }) => times > 1);
  const decimals = isSquare ? 1 : 0;
  const told = `somewhere from ${degrees(wantedRad - high95Rad, decimals)} to ${degrees(wantedRad - low95Rad, decimals)}`;
  const last = looks.at(-1);
  const again =
    last?.seen === 'right' && Math.abs(last.commandedRad - tellRad) < commandStepOf(looks) / 2;
  const proved =
    low95Rad > 0
      ? 'they go too far'
      : high95Rad < 0
        ? 'they do not go far enough'
        : 'that they go wrong is not proved';
  const next = isFound
    ? `telling ${degrees(tellRad, decimals)} makes it, as far as an eye can tell`
    : again
      ? `look at ${degrees(tellRad, decimals)} once more`
      : `tell ${degrees(tellRad, decimals)} next`;
  return `By eye, for ${degrees(wantedRad, 0)}: ${next}. ${counted(looks.length, 'look')} ${looks.length === 1 ? 'leaves' : 'leave'} ${told} (${proved}); a protractor tells more with three turns.`;
}

/** A trial as far as the eye is concerned. */
interface SeenTrial {
  targetRad: number;
  wantedRad: number | null;
  seen: Seen | null;
  times?: number;
}

/** What to tell for each angle and side that was looked at; what was told stands for what was wanted where nobody said. */
export function eyeAdvices(
  trials: readonly SeenTrial[],
): { direction: 'left' | 'right'; advice: EyeAdvice }[] {
  const groups = new Map<string, { direction: 'left' | 'right'; looks: EyeLook[] }>();
  for (const { targetRad, wantedRad, seen, times = 1 } of trials) {
    if (seen === null) continue;
    const commandedRad = Math.abs(targetRad);
    const look = { seen, commandedRad, wantedRad: Math.abs(wantedRad ?? targetRad), times };
    const direction = sideOf(targetRad);
    const key = `${direction} ${look.wantedRad.toFixed(4)}`;
    const group = groups.get(key) ?? { direction, looks: [] };
    groups.set(key, { direction, looks: [...group.looks, look] });
  }
  return [...groups.values()].flatMap(({ direction, looks }) => {
    const advice = adviceByEye(looks);
    return advice === null ? [] : [{ direction, advice }];
  });
}
