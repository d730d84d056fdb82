import { Plot } from '../../ui/chart/Plot';
import { Frame } from '../../ui/Frame';

interface Props {
  title: string;
  /** What is to be seen, for whoever does not see it. */
  found: string;
  /** The readings in their order, and of which of both each was. */
  readings: readonly { value: number | null; isFirst: boolean }[];
  /** What both are called: the first of them is a rhomb. */
  first: string;
  second: string;
  threshold: number;
  /** Between them stays what it was. */
  band: readonly (number | null)[];
}

/** Readings of two sorts one after the other, and the threshold that parts them. */
export function PartedChart(props: Props) {
  const { title, found, readings, first, second, threshold, band } = props;
  const marks = (isFirst: boolean) =>
    readings.flatMap((one, i) =>
      one.isFirst === isFirst && one.value !== null ? [{ x: i + 1, y: one.value }] : [],
    );
  const across = (y: number) => [1, Math.max(2, readings.length)].map((x) => ({ x, y }));
  return (
    <Frame
      title={title}
      sentence="Each mark is one reading, in the order in which they were made."
      legend={`◆ ${first}   ● ${second}   — threshold   - - in between stays what it was`}
    >
      <Plot
        label={`${title}, reading after reading. ${found}`}
        xTitle="reading no."
        yTitle="it reads"
        curves={[
          {
            label: first,
            points: marks(true),
            tone: 'measured',
            look: 'points',
            shape: 'rectRot',
          },
          {
            label: second,
            points: marks(false),
            tone: 'measured',
            look: 'points',
            shape: 'circle',
          },
          { label: 'threshold', points: across(threshold), tone: 'predicted', look: 'line' },
          ...band.flatMap((level) =>
            level === null
              ? []
              : [
                  {
                    label: '',
                    points: across(level),
                    tone: 'predicted' as const,
                    look: 'line' as const,
                    dashed: true,
                  },
                ],
          ),
        ]}
      />
    </Frame>
  );
}
