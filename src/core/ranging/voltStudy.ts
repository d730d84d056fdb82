import type { RangeCalibration as RangeValue } from '../calibrationValues/range';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { benchLength, errorLength } from '../text/quantities';
import { voltCurve, voltNoiseM, voltsThere, type VoltCurve, type VoltReading } from './voltCurve';
import {
  growsNearer,
  isStraight,
  voltsAt,
  voltsOrNearer,
  voltsText as volts,
} from '../sensing/voltLaw';

/** What a program compares with, to stop at a distance or nearer. */
export interface VoltThreshold {
  distanceM: number;
  volts: number;
  /** "2.41 V or more" */
  text: string;
  /** Scatter of single readings, and how sure the curve is (95 %). */
  noiseM: number;
  halfWidthM: number;
}

export interface VoltStudy {
  curve: VoltCurve;
  thresholds: VoltThreshold[];
  sentences: ThreeSentences;
  value: RangeValue;
}

const ROUND_DISTANCES_M = [0.05, 0.08, 0.1, 0.15, 0.2, 0.3, 0.4, 0.5, 0.8, 1.2];

const thresholdAt = (curve: VoltCurve, distanceM: number): VoltThreshold => ({
  ...voltsThere(curve, distanceM),
  text: voltsOrNearer(curve.law, distanceM),
});

function meansSentence(curve: VoltCurve): string {
  const { law, isLawShown, fromM, toM, foldsBackBelowM } = curve;
  const sure = (at: number) => `± ${errorLength(voltNoiseM(curve, at), 1)} at ${benchLength(at)}`;
  const folds =
    foldsBackBelowM === null
      ? ''
      : ` Nearer than ${benchLength(foldsBackBelowM)} it turns back and would be taken for farther off: mount it so that nothing comes that near.`;
  const shape = isLawShown
    ? isStraight(law)
      ? ' The volts go straight with the distance.'
      : ''
    : ' Two distances cannot show whether the volts go straight with the distance: a third tells.';
  return `One reading tells the distance ${sure(fromM)} and ${sure(toM)}.${shape}${folds}`;
}

function valueOf(curve: VoltCurve): RangeValue {
  const middleM = (curve.fromM + curve.toM) / 2;
  return {
    kind: 'range',
    offsetM: 0,
    offsetSeM: curve.halfWidthM(middleM) / 2,
    scaleFactor: 1,
    scaleFactorSe: curve.halfWidthM(middleM) / 2 / middleM,
    noiseM: voltNoiseM(curve, middleM),
    lostRate: curve.lostRate,
    validFromM: curve.fromM,
    validToM: curve.toM,
    volts: curve.law,
  };
}

/** What readings in volts say of one sensor; null while they tell no law. */
export function voltStudy(readings: readonly VoltReading[], unit: string): VoltStudy | null {
  const curve = voltCurve(readings);
  if (curve === null) return null;
  const { fromM, toM } = curve;
  const tried = ROUND_DISTANCES_M.filter((at) => at >= fromM && at <= toM);
  const thresholds = tried.map((at) => thresholdAt(curve, at));
  const [first] = thresholds;
  const way = growsNearer(curve.law) ? 'more' : 'less';
  return {
    curve,
    thresholds,
    sentences: {
      found: `${unit} shows ${volts(voltsAt(curve.law, fromM))} at ${benchLength(fromM)} and ${volts(voltsAt(curve.law, toM))} at ${benchLength(toM)}: the nearer, the ${way}.`,
      means: meansSentence(curve),
      next:
        first === undefined
          ? 'Measure farther off as well.'
          : `To stop at ${benchLength(first.distanceM)}, compare with ${first.text}; the table has more. Apply it, and the step card says it in volts.`,
    },
    value: valueOf(curve),
  };
}
