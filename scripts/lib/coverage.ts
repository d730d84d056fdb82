import { stillCheck } from '../../src/core/gyro/stillCheck';
import { randomStream } from '../../src/core/simulate/random';
import { simulateStillHeading, simulateStillRate } from '../../src/core/simulate/stillLog';

const deg = Math.PI / 180;

/** One kind of still log. */
export interface LogKind {
  kind: 'heading' | 'rate';
  quantumDeg: number;
  lengthS: number;
  walkDeg: number;
}

export interface Coverage extends LogKind {
  logs: number;
  /** Share of the logs whose 95 % interval held the true drift. */
  share: number;
  /** (6/5)N²/T over four times the quantisation variance: the share may be at most 0.98. */
  walkDominates: boolean;
  /** Logs in which a touch was seen though nobody touched. */
  falseTouches: number;
}

const RUN_S = 150;
const TOLERANCE = 2 * deg;

/** Share of simulated logs of one kind whose interval holds the truth; drift and phase at random. */
export function stillCoverage(one: LogKind, logs: number, seed: number): Coverage {
  let held = 0;
  let falseTouches = 0;
  for (let i = 0; i < logs; i += 1) {
    const random = randomStream(seed, i, `coverage-${one.kind}`);
    const driftRadPerS = 0.3 * (2 * random.uniform() - 1) * deg;
    const sensor = {
      driftRadPerS,
      walkRadPerSqrtS: one.walkDeg * deg,
      lengthS: one.lengthS,
      periodS: 0.02,
      jitterS: 0.002,
    };
    const log =
      one.kind === 'heading'
        ? {
            kind: 'heading' as const,
            ...simulateStillHeading({ ...sensor, quantumRad: one.quantumDeg * deg }, random),
          }
        : {
            kind: 'rate' as const,
            ...simulateStillRate({ ...sensor, quantumRadPerS: one.quantumDeg * deg }, random),
          };
    const check = stillCheck(log, RUN_S, TOLERANCE);
    if (check.low95 <= driftRadPerS && driftRadPerS <= check.high95) held += 1;
    if (check.touched.length > 0) falseTouches += 1;
  }
  const walkVariance = (1.2 * one.walkDeg ** 2) / one.lengthS;
  const roundingVariance = (one.quantumDeg / one.lengthS) ** 2 / 12;
  return {
    ...one,
    logs,
    share: held / logs,
    walkDominates: one.kind === 'heading' && walkVariance > 4 * roundingVariance,
    falseTouches,
  };
}

/** The kinds of log over which the coverage is stated. */
export const LOG_KINDS: LogKind[] = [
  ...[0, 0.1, 1].flatMap((quantumDeg) =>
    [15, 60, 300].map((lengthS) => ({
      kind: 'heading' as const,
      quantumDeg,
      lengthS,
      walkDeg: 0.02,
    })),
  ),
  { kind: 'heading', quantumDeg: 0.1, lengthS: 60, walkDeg: 0.005 },
  { kind: 'heading', quantumDeg: 1, lengthS: 60, walkDeg: 0.1 },
  { kind: 'heading', quantumDeg: 1, lengthS: 300, walkDeg: 0.1 },
  { kind: 'rate', quantumDeg: 0, lengthS: 60, walkDeg: 0.02 },
  { kind: 'rate', quantumDeg: 0.1, lengthS: 60, walkDeg: 0.02 },
];
