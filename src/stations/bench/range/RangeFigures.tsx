import { bestForPlaces, placeSentence, type RangePlace } from '../../../core/ranging/bestForPlaces';
import type { RangeFit, DeviceRange } from '../../../core/ranging/rangeCalibration';
import { factorText, stepText } from '../../../core/ranging/rangeStudy';
import { benchScale, errorFigure, errorScale } from '../../../core/text/lengths';
import { benchLength, errorLength } from '../../../core/text/quantities';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

const mm = (value: number) => errorLength(value, 1);
const SHAPES = ['rectRot', 'triangle', 'circle', 'rect', 'crossRot'] as const;
const SIGNS = ['◆', '▲', '●', '■', '✕'];

/** Each unit's mean error against the distance. */
export const RangeChart = ({ found, sentence }: { found: RangeFit; sentence: string }) => (
  <Frame
    title="Reads too far, against the distance"
    sentence="Each mark is the mean of a distance; on 0 it reads as the tape does."
    legend={found.units
      .slice(0, SHAPES.length)
      .map(({ unit }, i) => `${SIGNS[i] ?? ''} ${unit}`)
      .join('   ')}
  >
    <Plot
      label={`Mean error of each distance sensor, against the distance. ${sentence}`}
      xTitle={`by the tape, ${benchScale().label}`}
      yTitle={`reads too far, ${errorScale().label}`}
      curves={found.units.map(({ unit, distances }, i) => ({
        label: unit,
        points: distances.flatMap(({ trueM, meanErrorM }) =>
          meanErrorM === null ? [] : [{ x: trueM * benchScale().perM, y: errorFigure(meanErrorM) }],
        ),
        tone: 'measured' as const,
        look: 'points' as const,
        shape: SHAPES[i % SHAPES.length] ?? 'rectRot',
      }))}
    />
  </Frame>
);

/** The units of the bench with their figures, and which are out of tolerance. */
export const RangeDevices = ({ units }: { units: readonly DeviceRange[] }) => (
  <Table
    label="The units"
    rows={units}
    keyOf={({ unit }) => unit}
    columns={[
      { title: 'Unit', head: true, cell: ({ unit }) => unit },
      {
        title: 'Offset (95 %)',
        number: true,
        cell: ({ offsetM, offsetLow95M, offsetHigh95M }) =>
          `${mm(offsetM)} (${mm(offsetLow95M)} to ${mm(offsetHigh95M)})`,
      },
      { title: 'Scale', number: true, cell: ({ scaleFactor }) => factorText(scaleFactor) },
      {
        title: 'Scatter',
        number: true,
        cell: ({ noiseM, quantumM }) => (
          <>
            {mm(noiseM)}
            {quantumM > 0 && (
              <>
                <br />
                <small className="faint">steps of {stepText(quantumM)}</small>
              </>
            )}
          </>
        ),
      },
      {
        title: 'Lost',
        number: true,
        cell: ({ lostRate, readings }) => `${Math.round(lostRate * readings)} of ${readings}`,
      },
      {
        title: 'Reads as it should',
        cell: ({ validFromM, validToM }) =>
          `${benchLength(validFromM)} to ${benchLength(validToM)}`,
      },
      {
        title: 'Tolerance',
        cell: ({ withinTolerance, worstErrorM }) =>
          `${withinTolerance ? 'within' : 'outside'} (${mm(worstErrorM)})`,
      },
    ]}
  />
);

/** Which of several units is best where the routes stop by a distance. */
export function BestDevices({
  units,
  places,
}: {
  units: readonly DeviceRange[];
  places: readonly RangePlace[];
}) {
  const sentences = bestForPlaces(units, places).flatMap((best) => placeSentence(best) ?? []);
  if (sentences.length === 0) return null;
  return (
    <section aria-label="Which unit where">
      <p>Best of these units:</p>
      <ul data-testid="best-units">
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
    </section>
  );
}
