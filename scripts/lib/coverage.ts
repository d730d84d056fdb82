import { stillCheck } from '../../src/core/gyro/still/stillCheck';
import { randomStream } from '../../src/core/stats/random';
import { simulateStillHeading, simulateStillRate } from '../../src/core/simulate/stillLog';

const deg = Math.PI / 180;

/** One kind of still log. */
export interface LogKind {
  kind: 'heading' | 'rate';
  quantumDeg: number;
  lengthS: number;
  walkDeg: number;
  periodS?: number;
  /** As it is; else at random within ±0.3 °/s. */
  driftDeg?: number;
  /** Bias instability of a drift that wanders as 1/f, °/s. */
  biasDeg?: number;
  /** A warm-up turns the heading by so much in all, °, with a time constant, s. */
  warmUp?: readonly [number, number];
}

export interface Coverage extends LogKind {
  logs: number;
  /** Share of the logs whose 95 % interval held the true drift; for changing drifts, the next run's. */
  share: number;
  /** What the share has to be at least. */
  least: number;
  /** (6/5)N²/T over four times the quantisation variance: the share may be at most 0.98. */
  walkDominates: boolean;
  /** Logs in which a touch was seen though nobody touched. */
  falseTouches: number;
  /** Logs of which subtracting the drift was advised. */
  subtract: number;
}

const RUN_S = 150;
const TOLERANCE = 2 * deg;

function simulate(one: LogKind, seed: number, i: number) {
  const random = randomStream(seed, i, `coverage-${one.kind}`);
  const driftRadPerS = (one.driftDeg ?? 0.3 * (2 * random.uniform() - 1)) * deg;
  const sensor = {
    driftRadPerS,
    walkRadPerSqrtS: one.walkDeg * deg,
    lengthS: one.lengthS,
    periodS: one.periodS ?? 0.02,
    jitterS: 0.002,
    ...(one.biasDeg !== undefined && { biasInstabilityRadPerS: one.biasDeg * deg }),
    ...(one.warmUp !== undefined && {
      warmUp: { angleRad: one.warmUp[0] * deg, timeConstantS: one.warmUp[1] },
    }),
  };
  if (one.kind === 'rate') {
    const rates = simulateStillRate({ ...sensor, quantumRadPerS: one.quantumDeg * deg }, random);
    return { log: { kind: 'rate' as const, ...rates }, driftRadPerS, next: driftRadPerS };
  }
  const { nextRunRadPerS, ...log } = simulateStillHeading(
    { ...sensor, quantumRad: one.quantumDeg * deg },
    random,
    RUN_S,
  );
  return { log: { kind: 'heading' as const, ...log }, driftRadPerS, next: nextRunRadPerS };
}

/** Share of simulated logs of one kind whose interval holds the truth; drift and phase at random. */
export function stillCoverage(one: LogKind, logs: number, seed: number): Coverage {
  const changes = one.biasDeg !== undefined || one.warmUp !== undefined;
  let held = 0;
  let falseTouches = 0;
  let subtract = 0;
  for (let i = 0; i < logs; i += 1) {
    const { log, driftRadPerS, next } = simulate(one, seed, i);
    const check = stillCheck(log, RUN_S, TOLERANCE);
    const holdsMean = check.low95 <= driftRadPerS && driftRadPerS <= check.high95;
    const holdsNext = check.nextRunLow95 <= next && next <= check.nextRunHigh95;
    if (changes ? holdsNext : holdsMean && holdsNext) held += 1;
    if (check.touched.length > 0) falseTouches += 1;
    if (check.verdict === 'correctable') subtract += 1;
  }
  const walkVariance = (1.2 * one.walkDeg ** 2) / one.lengthS;
  const roundingVariance = (one.quantumDeg / one.lengthS) ** 2 / 12;
  return {
    ...one,
    logs,
    share: held / logs,
    least: one.biasDeg === undefined ? 0.93 : 0.9,
    walkDominates:
      !changes &&
      one.driftDeg === undefined &&
      one.kind === 'heading' &&
      walkVariance > 4 * roundingVariance,
    falseTouches,
    subtract,
  };
}

const heading = (
  quantumDeg: number,
  lengthS: number,
  walkDeg: number,
  more: Partial<LogKind> = {},
): LogKind => ({ kind: 'heading', quantumDeg, lengthS, walkDeg, ...more });

/** The kinds of log over which the coverage is stated. */
export const LOG_KINDS: LogKind[] = [
  ...[0, 0.1, 1].flatMap((quantumDeg) =>
    [15, 60, 300].map((lengthS) => heading(quantumDeg, lengthS, 0.02)),
  ),
  heading(0.1, 60, 0.005),
  heading(1, 60, 0.1),
  heading(1, 300, 0.1),
  // A healthy sensor in the match queue; the walk between two readings near the step; several steps
  // between two readings.
  heading(0.1, 30, 0.01, { driftDeg: 0 }),
  heading(0.01, 150, 0.02, { periodS: 0.01 }),
  heading(0.01, 15, 0.003, { periodS: 0.04, driftDeg: 1 }),
  heading(0.01, 30, 0.002, { periodS: 0.1, driftDeg: 0.33 }),
  ...[0.004, 0.01, 0.02].flatMap((biasDeg) =>
    [60, 150, 300].map((lengthS) => heading(0.01, lengthS, 0.005, { periodS: 0.05, biasDeg })),
  ),
  heading(0.1, 150, 0.005, { periodS: 0.04, driftDeg: 0.02, warmUp: [3, 60] }),
  heading(0.01, 150, 0.005, { periodS: 0.04, driftDeg: -0.01, warmUp: [-4, 40] }),
  { kind: 'rate', quantumDeg: 0, lengthS: 60, walkDeg: 0.02 },
  { kind: 'rate', quantumDeg: 0.1, lengthS: 60, walkDeg: 0.02 },
];
