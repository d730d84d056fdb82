import { decimate } from '../../../core/chart/decimate';
import { driftPlusMinus, driftText } from '../../../core/gyro/stillSentence';
import { Plot, type Curve } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { stillCurves } from './stillChart';
import { useLiveFit, type LiveFitProps } from './useLiveFit';

const MOST_POINTS = 800;

/** What is being read while the robot lies still, with the drift as far as it shows. */
export function LiveChart(props: LiveFitProps) {
  const { readings, raw } = props;
  const fit = useLiveFit(props);
  const first = readings[0];
  const read = readings.filter(({ heading_deg }) => heading_deg !== undefined);
  const times = read.map(({ t_s }) => t_s - (first?.t_s ?? 0));
  const headings = read.map(
    ({ heading_deg }) => raw.signs.heading * ((heading_deg ?? 0) - (first?.heading_deg ?? 0)),
  );
  const now: Curve = {
    label: 'heading read',
    points: decimate(times, headings, MOST_POINTS),
    tone: 'measured',
    look: 'line',
  };
  const fitted = fit !== null && fit.check.kind === 'heading' ? stillCurves(fit) : null;
  const sentence =
    fit === null
      ? 'Each reading as it comes; the verdict follows at the end.'
      : `So far ${driftText(fit.check.driftRadPerS)} ± ${driftPlusMinus(fit.check)}; the verdict follows at the end.`;
  return (
    <Frame
      title="Heading now"
      sentence={sentence}
      legend="amber: read   green: fitted drift and its band"
    >
      <Plot
        label="Heading while it lies still"
        xTitle="seconds"
        yTitle="degrees from the start"
        curves={[now, ...(fitted?.curves.slice(1) ?? [])]}
        bands={fitted?.bands ?? []}
      />
    </Frame>
  );
}
