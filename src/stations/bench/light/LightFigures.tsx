import type { AtHeight, LightReading } from '../../../core/light/heights';
import type { ThresholdStudy } from '../../../core/light/thresholdStudy';
import { meanText, readingText } from '../../../core/text/rawReadings';
import { counted, errorLength } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';
import { PartedChart } from '../PartedChart';

interface Props {
  study: ThresholdStudy;
  readings: readonly LightReading[];
}

/** The readings one after the other, and what parts them. */
export const LightChart = ({ study: { found, sentences }, readings }: Props) => (
  <PartedChart
    title="Line and floor"
    found={sentences.found}
    readings={readings.map(({ over, reading }) => ({ value: reading, isFirst: over === 'line' }))}
    first="line"
    second="floor"
    threshold={found.threshold}
    band={[found.enter, found.leave]}
  />
);

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
