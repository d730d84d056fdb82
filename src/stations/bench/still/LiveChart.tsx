import { decimate } from '../../../core/chart/decimate';
import { degreesFromRadians } from '../../../core/geometry/angle';
import { measuredDrift } from '../../../core/gyro/driftText';
import { fromItsStart } from '../../../formats/toLog';
import { Plot } from '../../../ui/chart/Plot';
import type { Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';
import { logOf } from '../logs/sources';
import { stillCurves } from './stillChart';
import { useLiveFit, type LiveFitProps } from './useLiveFit';

const MOST_POINTS = 800;

/** The heading from its first reading on, degrees; nothing while there is no log to speak of. */
function pointsOf(readings: LiveFitProps['readings'], raw: LiveFitProps['raw']) {
  try {
    const { tS, columns } = fromItsStart(logOf(readings, raw));
    const headingRad = columns.headingRad ?? new Float64Array();
    const firstRad = headingRad.find((value) => !Number.isNaN(value)) ?? 0;
    const turned = headingRad.map((value) => degreesFromRadians(value - firstRad));
    return decimate(tS, turned, MOST_POINTS, 0, turned.length);
  } catch {
    // What is wrong with it is said at the end.
    return [];
  }
}

/** What is being read while the robot lies still, with the drift as far as it shows. */
export function LiveChart(props: LiveFitProps) {
  const { readings, raw } = props;
  const fit = useLiveFit(props);
  const now: Curve = {
    label: 'heading read',
    points: pointsOf(readings, raw),
    tone: 'measured',
    look: 'line',
  };
  const fitted = fit !== null && fit.check.kind === 'heading' ? stillCurves(fit) : null;
  const sentence =
    fit === null
      ? 'Each reading as it comes; the verdict follows at the end.'
      : `So far ${measuredDrift(fit.check)}; the verdict follows at the end.`;
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
