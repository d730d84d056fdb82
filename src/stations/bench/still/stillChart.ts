import { decimate } from '../../../core/chart/decimate';
import { degreesFromRadians } from '../../../core/geometry/angle';
import type { StillCheck } from '../../../core/gyro/stillCheck';
import type { Log } from '../../../formats/toLog';
import type { Band, Curve } from '../../../ui/chart/Plot';

const MOST_POINTS = 1600;

/** The heading of a log in degrees from its first; rates are shown as they are. */
export function shownValues({ columns }: Log): { values: Float64Array; isRate: boolean } {
  const { headingRad, rateRadPerS } = columns;
  if (headingRad === undefined) {
    return { values: (rateRadPerS ?? new Float64Array()).map(degreesFromRadians), isRate: true };
  }
  const first = headingRad[0] ?? 0;
  return { values: headingRad.map((value) => degreesFromRadians(value - first)), isRate: false };
}

/** A still log as curves: what was read, the fitted drift, and its band. */
export function stillCurves(
  log: Log,
  check: StillCheck | null,
): { curves: Curve[]; bands: Band[] } {
  const { values, isRate } = shownValues(log);
  const start = log.tS[0] ?? 0;
  const times = log.tS.map((t) => t - start);
  const read: Curve = {
    label: isRate ? 'turning rate read' : 'heading read',
    points: decimate(times, values, MOST_POINTS),
    tone: 'measured',
    look: 'line',
  };
  if (check === null) return { curves: [read], bands: [] };
  const slope = degreesFromRadians(check.driftRadPerS);
  const low = degreesFromRadians(check.low95);
  const high = degreesFromRadians(check.high95);
  const end = times.at(-1) ?? 0;
  if (isRate) {
    const flat = (value: number) => [
      { x: 0, y: value },
      { x: end, y: value },
    ];
    return {
      curves: [read, { label: 'drift', points: flat(slope), tone: 'predicted', look: 'line' }],
      bands: [],
    };
  }
  const first = log.columns.headingRad?.[0] ?? 0;
  const lines = check.fit.map(({ fromS, toS, startRad }): Curve => {
    const y = degreesFromRadians(startRad - first);
    return {
      label: 'fitted drift',
      points: [
        { x: fromS - start, y },
        { x: toS - start, y: y + slope * (toS - fromS) },
      ],
      tone: 'predicted',
      look: 'line',
    };
  });
  const bands = check.fit.map(({ fromS, toS, startRad }): Band => {
    const x = [fromS - start, toS - start];
    const middle = (toS - fromS) / 2;
    const centre = degreesFromRadians(startRad - first) + slope * middle;
    const edge = (side: number) =>
      [-middle, middle].map((dt) => centre + slope * dt + side * Math.abs(dt) * ((high - low) / 2));
    return { label: 'band', x, low: edge(-1), high: edge(1) };
  });
  return { curves: [read, ...lines], bands };
}
