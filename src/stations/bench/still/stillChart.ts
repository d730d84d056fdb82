import { headingFigure, turnSign } from '../../../core/text/quantities';
import { degreesFromRadians } from '../../../core/geometry/angle';
import type { Band, Curve } from '../../../ui/chart/plotProps';
import type { StillAnalysis } from '../../../workers/bench.worker';

/** A still log as curves: what was read, the fitted drift, and its band. */
export function stillCurves({ check, shown }: StillAnalysis): {
  curves: Curve[];
  bands: Band[];
} {
  const { kind } = check;
  const { points, startS, lengthS, firstRad } = shown;
  const read: Curve = {
    label: kind === 'rate' ? 'turning rate read' : 'heading read',
    points: points.map(({ x, y }) => ({ x, y: turnSign() * y })),
    tone: 'measured',
    look: 'line',
  };
  const slope = headingFigure(check.driftRadPerS);
  const half = degreesFromRadians((check.high95 - check.low95) / 2);
  if (kind === 'rate') {
    const flat = [0, lengthS].map((x) => ({ x, y: slope }));
    return {
      curves: [read, { label: 'drift', points: flat, tone: 'predicted', look: 'line' }],
      bands: [],
    };
  }
  const start = (startRad: number) => headingFigure(startRad - firstRad);
  const lines = check.fit.map(({ fromS, toS, startRad }): Curve => ({
    label: 'fitted drift',
    points: [
      { x: fromS - startS, y: start(startRad) },
      { x: toS - startS, y: start(startRad) + slope * (toS - fromS) },
    ],
    tone: 'predicted',
    look: 'line',
  }));
  const bands = check.fit.map(({ fromS, toS, startRad }): Band => {
    const middle = (toS - fromS) / 2;
    const centre = start(startRad) + slope * middle;
    const edge = (side: number) =>
      [-middle, middle].map((dt) => centre + slope * dt + side * Math.abs(dt) * half);
    return { label: 'band', x: [fromS - startS, toS - startS], low: edge(-1), high: edge(1) };
  });
  return { curves: [read, ...lines], bands };
}
