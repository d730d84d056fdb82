import { decimate } from '../../../core/chart/decimate';
import type { RawSigns } from '../../../core/robot';
import type { Reading } from '../../../formats/readings';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';

/** What is being read while the robot lies still. */
export function LiveChart({ readings, signs }: { readings: readonly Reading[]; signs: RawSigns }) {
  const first = readings[0];
  const read = readings.filter(({ heading_deg }) => heading_deg !== undefined);
  const times = read.map(({ t_s }) => t_s - (first?.t_s ?? 0));
  const headings = read.map(
    ({ heading_deg }) => signs.heading * ((heading_deg ?? 0) - (first?.heading_deg ?? 0)),
  );
  return (
    <Frame
      title="Heading now"
      sentence="Each reading as it comes; the verdict follows at the end."
      legend="— read"
    >
      <Plot
        label="Heading while it lies still"
        xTitle="seconds"
        yTitle="degrees from the start"
        curves={[
          {
            label: 'heading read',
            points: decimate(times, headings, 800),
            tone: 'measured',
            look: 'line',
          },
        ]}
      />
    </Frame>
  );
}
