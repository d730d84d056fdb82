import { decimate } from '../../../core/chart/decimate';
import { degreesFromRadians } from '../../../core/geometry/angle';
import type { RunLogStudy } from '../../../core/gyro/runLog';
import type { AnchorRecord } from '../../../formats/benchRecords';
import type { Log } from '../../../formats/toLog';
import type { Curve } from '../../../ui/chart/Plot';

const MOST_POINTS = 1500;

/** Headings of a run as they were read, by the encoders and corrected, with the anchors on them. */
export function runCurves(
  log: Log,
  { encoderRad, correction }: RunLogStudy,
  anchors: readonly AnchorRecord[],
): Curve[] {
  const line = (label: string, values: Float64Array, look: Pick<Curve, 'tone' | 'dashed'>) => ({
    label,
    points: decimate(log.tS, values.map(degreesFromRadians), MOST_POINTS),
    look: 'line' as const,
    ...look,
  });
  const { headingRad } = log.columns;
  const corrected =
    correction && Float64Array.from(correction.corrected, (sample) => sample.headingRad);
  return [
    ...(headingRad === undefined
      ? []
      : [line('heading as read', headingRad, { tone: 'measured' })]),
    ...(encoderRad === null
      ? []
      : [line('heading by the encoders', encoderRad, { tone: 'faint', dashed: true })]),
    ...(corrected === null ? [] : [line('heading, corrected', corrected, { tone: 'predicted' })]),
    {
      label: 'true heading known',
      points: anchors.map(({ tS, headingRad: known }) => ({ x: tS, y: degreesFromRadians(known) })),
      look: 'points',
      tone: 'planned',
      shape: 'triangle',
    },
  ];
}
