import type { AtHeight, LightReading } from '../../../core/light/heights';
import type { ThresholdStudy } from '../../../core/light/thresholdStudy';
import { meanText, readingText } from '../../../core/text/rawReadings';
import { counted, errorLength } from '../../../core/text/quantities';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

interface Props {
  study: ThresholdStudy;
  readings: readonly LightReading[];
}

/** The readings one after the other, and what parts them. */
export function LightChart({ study, readings }: Props) {
  const { found, sentences } = study;
  const across = (y: number) => [1, Math.max(2, readings.length)].map((x) => ({ x, y }));
  const marks = (over: LightReading['over']) =>
    readings.flatMap((one, i) => (one.over === over ? [{ x: i + 1, y: one.reading }] : []));
  return (
    <Frame
      title="Line and floor"
      sentence="Each mark is one reading, in the order in which they were made."
      legend="◆ line   ● floor   — threshold   - - in between stays what it was"
    >
      <Plot
        label={`Readings over line and floor. ${sentences.found}`}
        xTitle="reading no."
        yTitle="it reads"
        curves={[
          {
            label: 'line',
            points: marks('line'),
            tone: 'measured',
            look: 'points',
            shape: 'rectRot',
          },
          {
            label: 'floor',
            points: marks('floor'),
            tone: 'measured',
            look: 'points',
            shape: 'circle',
          },
          { label: 'threshold', points: across(found.threshold), tone: 'predicted', look: 'line' },
          ...[found.enter, found.leave].map((level) => ({
            label: '',
            points: across(level),
            tone: 'predicted' as const,
            look: 'line' as const,
            dashed: true,
          })),
        ]}
      />
    </Frame>
  );
}

/** What each surface reads, from place to place and where it stays. */
export function SurfaceTable({ study: { found } }: { study: ThresholdStudy }) {
  const { step } = found;
  const spread = (sd: number) => (Number.isFinite(sd) ? `± ${meanText(sd, step)}` : 'not known');
  return (
    <Table
      label="What they read"
      rows={[
        { name: 'the line', of: found.line },
        { name: 'the floor', of: found.floor },
      ]}
      keyOf={({ name }) => name}
      columns={[
        { title: 'Over', head: true, cell: ({ name }) => name },
        { title: 'Mean', number: true, cell: ({ of }) => meanText(of.mean, step) },
        {
          title: 'At one place',
          number: true,
          cell: ({ of }) => spread(of.readingSd),
        },
        {
          title: 'Place to place',
          number: true,
          cell: ({ of }) => (of.places < 2 ? 'one alone' : spread(of.placeSd)),
        },
        {
          title: 'From',
          cell: ({ of }) => `${counted(of.n, 'reading')}, ${counted(of.places, 'place')}`,
        },
      ]}
    />
  );
}

/** What the same threshold does at each height that was tried. */
export const HeightTable = ({ heights, step }: { heights: readonly AtHeight[]; step: number }) => (
  <Table
    label="At other heights of the sensor"
    rows={heights}
    keyOf={({ heightM }) => `${heightM}`}
    columns={[
      { title: 'Height', head: true, cell: ({ heightM }) => errorLength(heightM, 1) },
      { title: 'Line', number: true, cell: ({ lineReads }) => readingText(lineReads, step) },
      { title: 'Floor', number: true, cell: ({ floorReads }) => readingText(floorReads, step) },
      { title: 'Wrong', number: true, cell: ({ wrong, n }) => `${wrong} of ${n}` },
      { title: 'The threshold', cell: ({ holds }) => (holds ? 'holds' : 'does not hold') },
    ]}
  />
);
