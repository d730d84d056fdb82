import { wrap } from '../geometry/angle';

/** A moment at which the true heading is known, with its standard uncertainty. */
export interface Anchor {
  tS: number;
  headingRad: number;
  sdRad?: number | undefined;
}

export interface HeadingSample {
  tS: number;
  headingRad: number;
}

/** Two anchors closer than this say nothing about a drift between them. */
export const LEAST_APART_S = 0.2;

/** Whether two anchors stand at the same moment, or nearly. */
export const standTooClose = (anchors: readonly Pick<Anchor, 'tS'>[]): boolean =>
  anchors
    .map(({ tS }) => tS)
    .toSorted((a, b) => a - b)
    .some((tS, i, sorted) => i > 0 && tS - (sorted[i - 1] ?? tS) < LEAST_APART_S);

/** A stretch of constant drift, d(reading − truth)/dt. */
export interface DriftPiece {
  fromS: number;
  toS: number;
  driftRadPerS: number;
}

export interface AnchorCorrection {
  pieces: DriftPiece[];
  corrected: HeadingSample[];
  /** At each inner anchor: reading error less what the neighbours foretell. */
  leaveOneOutRad: number[];
  /** Standard uncertainty of each of these, from the anchors' own. */
  leaveOneOutSdRad: number[];
}

interface Known {
  tS: number;
  errorRad: number;
  sdRad: number;
}

/** The reading at a moment, between the samples around it. */
function readingAt(samples: readonly HeadingSample[], tS: number): number {
  let low = 0;
  let high = samples.length - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((samples[middle]?.tS ?? 0) <= tS) low = middle;
    else high = middle;
  }
  const a = samples[low];
  const b = samples[high];
  if (a === undefined || b === undefined) return Number.NaN;
  if (b.tS === a.tS) return b.headingRad;
  const share = Math.min(1, Math.max(0, (tS - a.tS) / (b.tS - a.tS)));
  return a.headingRad + share * (b.headingRad - a.headingRad);
}

/**
 * Errors at the anchors. A true heading is known but for whole turns: the first error is the nearest
 * to 0, and each next one the nearest to the one before, so that a drift of many turns stays one.
 */
function errorsAt(samples: readonly HeadingSample[], anchors: readonly Anchor[]): Known[] {
  let before = 0;
  return anchors.map(({ tS, headingRad, sdRad = 0 }) => {
    const errorRad = before + wrap(readingAt(samples, tS) - headingRad - before);
    before = errorRad;
    return { tS, errorRad, sdRad };
  });
}

function piecesOf(known: readonly Known[]): DriftPiece[] {
  return known.slice(1).map((next, i) => {
    const from = known[i] ?? next;
    return {
      fromS: from.tS,
      toS: next.tS,
      driftRadPerS: (next.errorRad - from.errorRad) / (next.tS - from.tS),
    };
  });
}

function leaveOneOut(known: readonly Known[]) {
  const inner = known.slice(1, -1).map((at, i) => {
    const before = known[i] ?? at;
    const after = known[i + 2] ?? at;
    const share = (at.tS - before.tS) / (after.tS - before.tS);
    return {
      residual: at.errorRad - (1 - share) * before.errorRad - share * after.errorRad,
      sd: Math.hypot(at.sdRad, (1 - share) * before.sdRad, share * after.sdRad),
    };
  });
  return {
    leaveOneOutRad: inner.map(({ residual }) => residual),
    leaveOneOutSdRad: inner.map(({ sd }) => sd),
  };
}

/**
 * Correct the heading of a recorded run by moments at which the true heading is known.
 *
 * The error of the reading runs linearly from anchor to anchor; before the first and after the last
 * the drift of the nearest piece goes on. Corrected = reading − error.
 * @param samples in order of time, headings unwrapped
 * @param anchors in order of time, at least one, at different moments
 * @param driftRadPerS the drift that holds where there is but one anchor (the still check's)
 */
export function correctByAnchors(
  samples: readonly HeadingSample[],
  anchors: readonly Anchor[],
  driftRadPerS = 0,
): AnchorCorrection {
  const known = errorsAt(samples, anchors);
  const only = known[0] ?? { tS: 0, errorRad: 0, sdRad: 0 };
  const pieces =
    known.length > 1
      ? piecesOf(known)
      : [{ fromS: samples[0]?.tS ?? 0, toS: samples.at(-1)?.tS ?? 0, driftRadPerS }];
  let piece = 0;
  const corrected = samples.map(({ tS, headingRad }) => {
    while (piece < pieces.length - 1 && tS > (pieces[piece]?.toS ?? Infinity)) piece += 1;
    const start = known[piece] ?? only;
    const error = start.errorRad + (pieces[piece]?.driftRadPerS ?? 0) * (tS - start.tS);
    return { tS, headingRad: headingRad - error };
  });
  return { pieces, corrected, ...leaveOneOut(known) };
}
