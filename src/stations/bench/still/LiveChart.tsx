import { useState } from 'react';
import { measuredDrift } from '../../../core/gyro/driftText';
import { Plot } from '../../../ui/chart/Plot';
import type { Curve } from '../../../ui/chart/plotProps';
import { Frame } from '../../../ui/Frame';
import { HeadingSoFar } from './headingSoFar';
import { stillCurves } from './stillChart';
import { useLiveFit, type LiveFitProps } from './useLiveFit';

/** What is being read while the robot lies still, with the drift as far as it shows. */
export function LiveChart(props: LiveFitProps) {
  const { readings, raw } = props;
  const fit = useLiveFit(props);
  const [soFar] = useState(() => new HeadingSoFar(raw));
  const now: Curve = {
    label: 'heading read',
    points: soFar.pointsOf(readings),
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
