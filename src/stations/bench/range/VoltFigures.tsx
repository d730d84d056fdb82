import { voltsAt } from '../../../core/sensing/voltLaw';
import type { VoltStudy } from '../../../core/ranging/voltStudy';
import { benchScale } from '../../../core/text/lengths';
import { benchLength, errorLength } from '../../../core/text/quantities';
import type { RangeTrialRecord } from '../../../formats/benchRecords';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

const CURVE_POINTS = 40;

/** A sensor that shows volts: its curve, and what a program compares with. */
export function VoltFigures({
  study: { curve, thresholds, sentences },
  readings,
}: {
  study: VoltStudy;
  readings: readonly RangeTrialRecord[];
}) {
  const { perM, label } = benchScale();
  const { law, fromM, toM } = curve;
  return (
    <>
      <Frame
        title="Volts against the distance"
        sentence="Each mark is one reading; the line is the curve through them."
        legend="◆ a reading   — as fitted"
      >
        <Plot
          label={`Volts of the sensor, against the distance by the tape. ${sentences.found}`}
          xTitle={`by the tape, ${label}`}
          yTitle="it shows, V"
          curves={[
            {
              label: 'as fitted',
              points: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
                const at = fromM + ((toM - fromM) * i) / CURVE_POINTS;
                return { x: at * perM, y: voltsAt(law, at) };
              }),
              tone: 'predicted',
              look: 'line',
            },
            {
              label: 'readings',
              points: readings.flatMap(({ trueM, readingV }) =>
                readingV === null ? [] : [{ x: trueM * perM, y: readingV }],
              ),
              tone: 'measured',
              look: 'points',
              shape: 'rectRot',
            },
          ]}
        />
      </Frame>
      <Table
        label="What to compare with, to stop at a distance"
        rows={thresholds}
        keyOf={({ distanceM }) => String(distanceM)}
        columns={[
          { title: 'Distance', head: true, cell: ({ distanceM }) => benchLength(distanceM) },
          { title: 'It shows', number: true, cell: ({ text }) => text },
          {
            title: 'One reading',
            number: true,
            cell: ({ noiseM }) => `± ${errorLength(noiseM, 1)}`,
          },
          {
            title: 'The curve (95 %)',
            number: true,
            cell: ({ halfWidthM }) => `± ${errorLength(halfWidthM, 1)}`,
          },
        ]}
      />
    </>
  );
}
