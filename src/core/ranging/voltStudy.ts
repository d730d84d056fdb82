import type { RangeCalibration as RangeValue } from '../calibration/kinds/range/schema';
import type { ThreeSentences } from '../gyro/stillSentence';
import { benchLength, errorLength } from '../text/quantities';
import { voltCurve, voltNoiseM, type VoltCurve, type VoltReading } from './voltCurve';
import { growsNearer, voltsAt, voltsOrNearer, voltsText as volts } from './voltLaw';

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
  distanceM,
  volts: voltsAt(curve, distanceM),
  text: voltsOrNearer(curve, distanceM),
  noiseM: voltNoiseM(curve, distanceM),
  halfWidthM: curve.halfWidthM(distanceM),
});

function meansSentence(curve: VoltCurve): string {
  const { fromM, toM, foldsBackBelowM } = curve;
  const sure = (at: number) => `± ${errorLength(voltNoiseM(curve, at), 1)} at ${benchLength(at)}`;
  const folds =
    foldsBackBelowM === null
      ? ''
      : ` Nearer than ${benchLength(foldsBackBelowM)} it turns back and would be taken for farther off: mount it so that nothing comes that near.`;
  return `One reading tells the distance ${sure(fromM)} and ${sure(toM)}.${folds}`;
}

function valueOf(curve: VoltCurve): RangeValue {
  const middleM = (curve.fromM + curve.toM) / 2;
  const { baseV, scaleVM, shiftM } = curve;
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
    volts: { baseV, scaleVM, shiftM },
  };
}

/** What readings in volts say of one sensor; null while there are fewer than four distances. */
export function voltStudy(readings: readonly VoltReading[], unit: string): VoltStudy | null {
  const curve = voltCurve(readings);
  if (curve === null) return null;
  const { fromM, toM } = curve;
  const tried = ROUND_DISTANCES_M.filter((at) => at >= fromM && at <= toM);
  const thresholds = tried.map((at) => thresholdAt(curve, at));
  const [first] = thresholds;
  const way = growsNearer(curve) ? 'more' : 'less';
  return {
    curve,
    thresholds,
    sentences: {
      found: `${unit} shows ${volts(voltsAt(curve, fromM))} at ${benchLength(fromM)} and ${volts(voltsAt(curve, toM))} at ${benchLength(toM)}: the nearer, the ${way}.`,
      means: meansSentence(curve),
      next:
        first === undefined
          ? 'Measure farther off as well.'
          : `To stop at ${benchLength(first.distanceM)}, compare with ${first.text}; the table has more. Apply it, and the step card says it in volts.`,
    },
    value: valueOf(curve),
  };
}
