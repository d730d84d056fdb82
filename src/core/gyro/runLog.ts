import { interpolateGaps } from '../channels/interpolateGaps';
import { degreesFromRadians } from '../geometry/angle';
import type { Robot } from '../robot/robot';
import { counted, degrees, number } from '../text/quantities';
import {
  encoderHeading,
  headingLag,
  loopPeriod,
  divergences,
  type LoopPeriod,
  type Divergence,
} from './agreement';
import {
  correctByAnchors,
  type Anchor,
  type AnchorCorrection,
  type HeadingSample,
} from './anchors';
import { directionDoubt } from './directionDoubt';
import type { ChannelLog } from '../channels/log';
import { driftText } from './driftText';
import { type ThreeSentences } from './still/stillSentence';

export interface RunLogStudy {
  correction: AnchorCorrection | null;
  loop: LoopPeriod;
  /** Heading by the encoders, where the log has them. */
  encoderRad: Float64Array | null;
  /** How far the reading, and the encoders' heading, went off the corrected one since the first anchor. */
  off: { readingRad: Float64Array; encoderRad: Float64Array | null } | null;
  lagS: number | null;
  divergences: Divergence[];
  /** Said where the log and the directions in the robot's record do not go together. */
  doubt: string | null;
  sentences: ThreeSentences;
}

/** Inner anchors within so many of their own uncertainties are believed. */
const BELIEVED = 3;
/** A square against a wall is good to this, where nothing else is said. */
export const USUAL_ANCHOR_SD_RAD = 0.009;

function innerAnchors({ leaveOneOutRad, leaveOneOutSdRad }: AnchorCorrection): string {
  if (leaveOneOutRad.length === 0) {
    return 'With a third anchor in between it could be checked.';
  }
  const worst = Math.max(...leaveOneOutRad.map(Math.abs));
  const fits = leaveOneOutRad.every(
    (residual, i) => Math.abs(residual) <= BELIEVED * Math.max(leaveOneOutSdRad[i] ?? 0, 1e-9),
  );
  const inner =
    leaveOneOutRad.length === 1
      ? 'The anchor in between'
      : `Each of the ${counted(leaveOneOutRad.length, 'anchor')} in between`;
  return fits
    ? `${inner} fits within ${degrees(worst)}: believe it.`
    : `${inner} is off by up to ${degrees(worst)}: the drift was not steady, or an anchor is wrong.`;
}

/** The drift of a still check, for a run with one anchor. */
export interface KnownDrift {
  driftRadPerS: number;
  /** Day of the check, as it is to be read. */
  day: string;
}

const offText = (errorRad: number): string =>
  `${number(degreesFromRadians(Math.abs(errorRad)), 1)}° to the ${errorRad < 0 ? 'right' : 'left'}`;

const withOneAnchor = ({ driftRadPerS, day }: KnownDrift, endErrorRad: number): ThreeSentences => ({
  found: `With the drift of the still check of ${day}, ${driftText(driftRadPerS)}, the reading went off by ${offText(endErrorRad)} until the end.`,
  means: 'One anchor says nothing about this run’s own drift: the still check’s stands in for it.',
  next: 'Mark a second moment at which you know the true heading: two of them give the drift.',
});

/** A true heading is known but for whole turns: beyond this an error may be a turn more or less. */
const FAR_RAD = Math.PI / 2;
const TOO_FAR_APART =
  'Between two anchors the error changed by more than a quarter turn, and may as well be a whole turn more or less: mark a moment in between.';

function sentencesOf(correction: AnchorCorrection, endErrorRad: number): ThreeSentences {
  const drifts = correction.pieces.map(({ driftRadPerS }) => driftText(driftRadPerS));
  return {
    found: `The heading drifted by ${drifts.join(', then ')}.`,
    means: `From the first anchor to the end the reading went off by ${offText(endErrorRad)}.`,
    next: correction.pieces.some(
      ({ fromS, toS, driftRadPerS }) => Math.abs(driftRadPerS) * (toS - fromS) > FAR_RAD,
    )
      ? TOO_FAR_APART
      : innerAnchors(correction),
  };
}

const TAU = 2 * Math.PI;

/** The true heading is known but for whole turns: the corrected one is told as the first anchor tells it. */
function asFirstAnchorTells(
  { corrected, ...rest }: AnchorCorrection,
  { tS, headingRad }: Anchor,
): AnchorCorrection {
  const at = corrected.find((sample) => sample.tS >= tS) ?? corrected.at(-1);
  const shiftRad = TAU * Math.round((headingRad - (at?.headingRad ?? 0)) / TAU);
  return {
    ...rest,
    corrected: corrected.map((sample) => ({ ...sample, headingRad: sample.headingRad + shiftRad })),
  };
}

/** How far reading and encoders went off from the first anchor on. */
function offOf(
  samples: readonly HeadingSample[],
  encoderRad: Float64Array | null,
  { corrected }: AnchorCorrection,
  firstS: number,
): NonNullable<RunLogStudy['off']> {
  const place = Math.max(
    0,
    samples.findIndex(({ tS }) => tS >= firstS),
  );
  const since = (values: Float64Array) => values.map((value) => value - (values[place] ?? 0));
  const less = (of: (i: number) => number) =>
    since(Float64Array.from(corrected, ({ headingRad }, i) => of(i) - headingRad));
  return {
    readingRad: less((i) => samples[i]?.headingRad ?? 0),
    encoderRad: encoderRad && less((i) => encoderRad[i] ?? 0),
  };
}

const NO_ANCHORS: ThreeSentences = {
  found: 'Mark moments at which you know the true heading.',
  means:
    'At the start in the jig, squared against a wall, along a line: two of them give the drift.',
  next: 'A third in between tells whether to believe it.',
};

const NO_HEADING: ThreeSentences = {
  found: 'This log has no heading: what else it holds is shown below.',
  means: 'Without a heading sensor nothing in it tells how the robot’s heading drifted.',
  next: 'Look at its channels, or record a run with the heading in it.',
};

/**
 * What a recorded run tells: its heading corrected by anchors, gyro against encoders, loop and lag.
 *
 * @param log with a heading in every reading, or none at all
 * @param anchors in any order; those without an uncertainty are taken to be good to half a degree
 * @param known the drift that holds where there is but one anchor
 */
export function studyRunLog(
  { tS, columns }: ChannelLog,
  anchors: readonly Anchor[],
  robot: Robot,
  known: KnownDrift | null = null,
): RunLogStudy {
  const { headingRad } = columns;
  const [left, right] = [columns.leftMotorDegrees, columns.rightMotorDegrees].map(
    (angles) => angles && interpolateGaps(tS, angles),
  );
  const encoderRad = left && right ? encoderHeading(left, right, robot) : null;
  const samples =
    headingRad === undefined
      ? []
      : Array.from(tS, (t, i) => ({ tS: t, headingRad: headingRad[i] ?? 0 }));
  const sorted = anchors
    .map((anchor) => ({ ...anchor, sdRad: anchor.sdRad ?? USUAL_ANCHOR_SD_RAD }))
    .toSorted((a, b) => a.tS - b.tS);
  const canCorrect = sorted.length > 1 || (sorted.length === 1 && known !== null);
  const [first] = sorted;
  const correction =
    canCorrect && samples.length > 1 && first !== undefined
      ? asFirstAnchorTells(correctByAnchors(samples, sorted, known?.driftRadPerS), first)
      : null;
  const off = correction && offOf(samples, encoderRad, correction, first?.tS ?? 0);
  const endErrorRad = off?.readingRad.at(-1) ?? 0;
  const both = headingRad !== undefined && encoderRad !== null;
  const lagS = both ? headingLag(tS, headingRad, encoderRad) : null;
  return {
    correction,
    loop: loopPeriod(tS),
    encoderRad,
    off,
    lagS,
    divergences: both ? divergences(tS, headingRad, encoderRad, lagS ?? 0) : [],
    doubt: directionDoubt(
      { tS, columns: { headingRad, leftMotorDegrees: left, rightMotorDegrees: right } },
      sorted,
      robot,
    ),
    sentences:
      headingRad === undefined
        ? NO_HEADING
        : correction === null
          ? NO_ANCHORS
          : sorted.length < 2 && known !== null
            ? withOneAnchor(known, endErrorRad)
            : sentencesOf(correction, endErrorRad),
  };
}
