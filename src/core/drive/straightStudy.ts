import { capitalised } from '../text/capitalised';
import type { StraightCalibration } from '../calibrationValues/straight';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { withoutRounding, type Estimate } from '../stats/roundedFit';
import { benchLength, counted, degrees, errorLength, number, aMetre } from '../text/quantities';
import { kickOf, type JudgedDrive, type Kick } from './kick';
import { directionOf } from './straightGroups';
import { straightModel, type StraightModel, type StraightTrial } from './straightModel';

/** Wheels that are known so well are known well enough: 2 mm in a metre. */
const GOOD_ENOUGH = 0.002;
/** With fewer drives the interval is wider than what it tells. */
const LEAST_TO_APPLY = 3;
/** The normal distribution's 97.5 % quantile. */
const Z = 1.96;

const isProved = ({ low95, high95 }: Estimate, from = 0): boolean => low95 > from || high95 < from;
/** The smaller first. */
const between = (a: string, b: string): string =>
  Number(a) <= Number(b) ? `${a} to ${b}` : `${b} to ${a}`;

const percentOff = (factor: number): string => number(100 * Math.abs(factor - 1), 2);

function sidewaysSentence({ sideways }: StraightModel): string {
  if (sideways === null) return 'Nobody measured how far it ends to the side.';
  const { startHeadingErrorRad: heading, trimRadPerM: trim, areApart } = sideways;
  const side = (value: number) => (value > 0 ? 'left' : 'right');
  const parts = [
    ...(isProved(heading)
      ? [
          `it sets off ${degrees(Math.abs(heading.value))} to the ${side(heading.value)}${areApart ? '' : ' (or it pulls: another distance, or how far it turns meanwhile, would tell)'}`,
        ]
      : []),
    ...(isProved(trim)
      ? [
          `it pulls to the ${side(trim.value)}, ${degrees(Math.abs(trim.value), 2)} over ${aMetre()}`,
        ]
      : []),
  ];
  return parts.length === 0 ? 'Nothing sideways is proved.' : `To the side: ${parts.join('; ')}.`;
}

/** Play that is not proved is not told. */
const playSentence = ({ playM }: StraightModel): string =>
  playM !== null && isProved(playM)
    ? ` The first drive after one the other way ends ${errorLength(Math.abs(playM.value), 1)} ${playM.value > 0 ? 'short: motors and gears have play' : 'farther'}.`
    : '';

/** The next drive that would tell most: a distance that was not tried, or the longest again. */
function nextSentence(model: StraightModel, trials: readonly StraightTrial[]): string {
  const isBackward = trials.some((trial) => directionOf(trial) === 'backward');
  const longest = Math.max(...trials.map(({ commandedM }) => Math.abs(commandedM)));
  if (trials.length < LEAST_TO_APPLY) {
    const missing = LEAST_TO_APPLY - trials.length;
    return `Drive ${counted(missing, 'more time', 'more times')}, one of them another distance: then wheels and coasting are told apart.`;
  }
  if (!model.areApart) {
    return `Drive another distance, ${benchLength(longest / 2)} say: one distance cannot tell the wheels from the coasting.`;
  }
  const half = (model.scaleFactor.high95 - model.scaleFactor.low95) / 2;
  if (half > GOOD_ENOUGH) {
    return `Known to ${number(100 * half, 2)} %. Three more drives of ${benchLength(longest)} would make it surer${isBackward ? '' : '; or apply it now, and drive one to see'}.`;
  }
  return isBackward
    ? 'Known well enough. The Course computes with what was measured forward: measure that, and apply it.'
    : 'Known well enough: apply it, and drive one to see.';
}

/** What straight drives say, in three sentences. */
export function straightSentences(
  model: StraightModel,
  trials: readonly StraightTrial[],
): ThreeSentences {
  const { scaleFactor, coastM, residualSdM, repeatabilityMPerSqrtM } = model;
  const it = trials.some((trial) => directionOf(trial) === 'backward') ? 'Backward it' : 'It';
  const wheels = isProved(scaleFactor, 1)
    ? `${it} drives ${percentOff(scaleFactor.value)} % ${scaleFactor.value > 1 ? 'further' : 'less'} than told (${between(percentOff(scaleFactor.low95), percentOff(scaleFactor.high95))} %)`
    : `${it} drives as far as told, as far as these drives tell`;
  const coasting = isProved(coastM)
    ? `, and ${errorLength(Math.abs(coastM.value))} ${coastM.value > 0 ? 'on at the end' : 'less at the end'}`
    : '';
  const scatter = Number.isFinite(residualSdM)
    ? ` Single drives scatter by ${errorLength(residualSdM, 1)}, after ${aMetre()} by ${errorLength(repeatabilityMPerSqrtM, 1)}.`
    : '';
  const offM = (scaleFactor.value - 1) * 1 + coastM.value;
  return {
    found: `${wheels}${coasting}.`,
    means: `${capitalised(aMetre())} ends ${errorLength(Math.abs(offM))} ${offM < 0 ? 'short' : 'too far'}. ${sidewaysSentence(model)}${scatter}${playSentence(model)}`,
    next: nextSentence(model, trials),
  };
}

/** What straight drives leave to be computed with; null with too few, or of one distance alone. */
export function calibrationFromStraight(
  model: StraightModel,
  kick: Kick | null = null,
): StraightCalibration | null {
  if (model.n < LEAST_TO_APPLY || !model.areApart) return null;
  const { scaleFactor, coastM, playM, residualSdM, stepM, midM, atMidHalf95M } = model;
  return {
    kind: 'straight',
    scaleFactor: scaleFactor.value,
    scaleFactorSe: (scaleFactor.high95 - scaleFactor.low95) / (2 * Z),
    coastM: coastM.value,
    residualSdM: withoutRounding(residualSdM, stepM),
    scatterFreedom: Math.max(1, model.n - (playM === null ? 2 : 3)),
    atMid: { distanceM: midM, seM: atMidHalf95M / Z },
    ...(playM !== null && {
      play: { meanM: playM.value, seM: (playM.high95 - playM.low95) / (2 * Z) },
    }),
    ...(kick !== null && { kick }),
  };
}

/** What to tell so that a wanted distance is driven. */
export const driveCommandFor = (
  wantedM: number,
  { scaleFactor, coastM }: Pick<StraightCalibration, 'scaleFactor' | 'coastM'>,
): number => (wantedM - Math.sign(wantedM) * coastM) / scaleFactor;

export interface StraightStudy {
  model: StraightModel;
  sentences: ThreeSentences;
  value: StraightCalibration | null;
}

/**
 * Model, sentences and calibration of drives of one group; null with fewer than two. The Course computes with wheels
 * as they drive forward: backward drives are told, and change nothing.
 */
export function straightStudy(
  trials: readonly JudgedDrive[],
  readToM: number | null = null,
): StraightStudy | null {
  const model = straightModel(trials, readToM);
  const isForward = trials.every((trial) => directionOf(trial) === 'forward');
  return (
    model && {
      model,
      sentences: straightSentences(model, trials),
      value: isForward ? calibrationFromStraight(model, kickOf(trials)) : null,
    }
  );
}
