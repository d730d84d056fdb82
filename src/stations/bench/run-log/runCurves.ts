import { decimate } from '../../../core/chart/decimate';
import { headingFigure } from '../../../core/text/quantities';
import type { RunLogStudy } from '../../../core/gyro/runLog';
import type { AnchorRecord } from '../../../formats/benchRecords';
import type { Log } from '../../../formats/toLog';
import type { Curve } from '../../../ui/chart/plotProps';

const MOST_POINTS = 1500;

function line(
  tS: Float64Array,
  label: string,
  valuesRad: Float64Array,
  look: Pick<Curve, 'tone' | 'dashed'>,
): Curve {
  const points = decimate(tS, valuesRad.map(headingFigure), MOST_POINTS);
  return { label, points, look: 'line', ...look };
}

/** Headings of a run as they were read, by the encoders and corrected, with the anchors on them. */
export function runCurves(
  { tS, columns: { headingRad } }: Log,
  { encoderRad, correction }: RunLogStudy,
  anchors: readonly AnchorRecord[],
): Curve[] {
  const corrected =
    correction && Float64Array.from(correction.corrected, (sample) => sample.headingRad);
  return [
    ...(headingRad === undefined
      ? []
      : [line(tS, 'heading as read', headingRad, { tone: 'measured' })]),
    ...(encoderRad === null
      ? []
      : [line(tS, 'heading by the encoders', encoderRad, { tone: 'faint', dashed: true })]),
    ...(corrected === null
      ? []
      : [line(tS, 'heading, corrected', corrected, { tone: 'predicted' })]),
    {
      label: 'true heading known',
      points: anchors.map(({ tS: x, headingRad: known }) => ({ x, y: headingFigure(known) })),
      look: 'points',
      tone: 'planned',
      shape: 'triangle',
    },
  ];
}

/** How far the reading, and the encoders' heading, were off through the run. */
export const offCurves = (
  { tS }: Log,
  { readingRad, encoderRad }: NonNullable<RunLogStudy['off']>,
): Curve[] => [
  ...(encoderRad === null
    ? []
    : [line(tS, 'by the encoders', encoderRad, { tone: 'faint', dashed: true })]),
  line(tS, 'as read', readingRad, { tone: 'measured' }),
];
