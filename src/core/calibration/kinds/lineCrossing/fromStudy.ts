import type { LineCrossingCalibration } from '../../../calibrationValues/lineCrossing';
import type { LinePassesStudy } from '../../../light/linePassesStudy';

/** As a normal interval of 95 % has it. */
const Z95 = 1.96;

/** The best way of noticing a line, to be computed with; null where no direction was measured twice. */
export function calibrationFromLinePasses({
  speedMPerS,
  best,
}: LinePassesStudy): LineCrossingCalibration | null {
  const known = best.overruns.filter(
    ({ n, scatter, over }) => n > 1 && Number.isFinite(scatter.sd) && Number.isFinite(over.low95),
  );
  if (known.length === 0) return null;
  return {
    kind: 'line-crossing',
    by: best.by,
    speedMPerS,
    delayS: best.delayS?.value ?? null,
    passes: best.wrong.n,
    wrong: best.wrong.successes,
    overruns: known.map(({ drives, on, n, over, scatter }) => ({
      drives,
      on,
      overM: over.value,
      overSeM: (over.high95 - over.low95) / (2 * Z95),
      sdM: scatter.sd,
      n,
    })),
  };
}
