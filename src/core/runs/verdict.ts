import { radiansFromDegrees } from '../geometry/angle';
import { counted, degrees, errorLength, number, percent } from '../text/quantities';
import type { AllWorked } from './allOfPlanned';
import { MOST_RUNS, runsToProveBias } from './biasTest';
import type { Consistency } from './consistency';
import type { AlongAcrossFigures } from './alongAcrossFigures';
import { isHeadingOff } from './headingTest';

/** What a series says, in three plain sentences. */
export interface Verdict {
  /** Where the robot ends and how far apart. */
  found: string;
  /** How sure that is. */
  sure: string;
  /** What to do next, and how many more runs would tell. */
  next: string;
}

/** Runs for which the scatter of single runs is known to about a quarter of itself. */
const ENOUGH_FOR_SPREAD = 10;

function inWords(
  alongM: number,
  acrossM: number,
  words: Record<'far' | 'near' | 'left' | 'right', string>,
) {
  const parts = [
    { byM: alongM, plus: words.far, minus: words.near },
    { byM: acrossM, plus: words.left, minus: words.right },
  ].flatMap(({ byM, plus, minus }) =>
    Math.round(byM * 1000) === 0 ? [] : [`${errorLength(Math.abs(byM))} ${byM > 0 ? plus : minus}`],
  );
  return parts.join(' and ');
}

/** An offset in words: "4 mm too far and 9 mm to the left"; empty when it rounds to nothing. */
export const offsetInWords = (alongM: number, acrossM: number): string =>
  inWords(alongM, acrossM, {
    far: 'too far',
    near: 'short',
    left: 'to the left',
    right: 'to the right',
  });

/** What to tell the robot against such an offset: "4 mm less far and 9 mm more to the right". */
export const reAimInWords = (alongM: number, acrossM: number): string =>
  inWords(-alongM, -acrossM, {
    far: 'further',
    near: 'less far',
    left: 'more to the left',
    right: 'more to the right',
  });

/** How many runs worked, and what that says of the true rate; null where nobody noted it. */
function successParts(
  { success }: Consistency,
  allWorked: AllWorked | null,
): { worked: string; rate: string } | null {
  if (success === null) return null;
  if (allWorked !== null && success.n === allWorked.n) {
    return {
      worked: `All ${allWorked.n} planned runs worked in a row`,
      rate: `the true rate is above ${percent(allWorked.low95)}`,
    };
  }
  const { successes, n, low95, high95 } = success;
  return {
    worked: `${successes} of ${counted(n, 'run')} worked`,
    rate: `the true rate lies between ${percent(low95)} and ${percent(high95)}`,
  };
}

function successSentence(end: Consistency, allWorked: AllWorked | null): string {
  const parts = successParts(end, allWorked);
  return parts === null ? '' : ` ${parts.worked}; ${parts.rate}.`;
}

/** Of runs whose ends nobody measured: how often it worked, which is what counts. */
function successAlone(
  end: Consistency,
  { worked, rate }: { worked: string; rate: string },
): Verdict {
  return {
    found: `${worked}.`,
    sure: `${rate.charAt(0).toUpperCase()}${rate.slice(1)}.`,
    next:
      end.success !== null && end.success.successes === end.success.n
        ? 'Go on as it is: every further run that works narrows that.'
        : `To see why the others fail, note what went wrong first; where a way is planned, measure where ${counted(3 - end.nPose, 'more run')} end: that tells aim from scatter.`,
  };
}

function tooFew(end: Consistency, allWorked: AllWorked | null): Verdict {
  const missing = 3 - end.nPose;
  const success = successParts(end, allWorked);
  if (success !== null) return successAlone(end, success);
  const found =
    end.n === 0
      ? 'No runs yet.'
      : `${counted(end.n, 'run')} logged, ${end.nPose === 0 ? 'none' : end.nPose} with a measured end: too few to tell where the robot ends.`;
  return {
    found,
    sure: 'Three measured ends give a first idea.',
    next: `Measure the end of ${missing} more; ${ENOUGH_FOR_SPREAD - end.nPose} more tell the spread to about a quarter.`,
  };
}

function nextForRealBias(end: Consistency, travel: AlongAcrossFigures): string {
  const aboutTarget = end.r95AboutTargetM ?? 0;
  const aboutMean = end.r95AboutMeanM ?? 0;
  const aim = reAimInWords(travel.biasAlongM, travel.biasAcrossM);
  if (aboutTarget - aboutMean < 0.15 * aboutTarget) {
    return 'First find what scatters: put the robot down the same way ten times, with the jig or against a corner, and watch from where the runs part. Aiming anew would hardly change anything.';
  }
  return `Aim ${aim}: 95 of 100 runs would then land within ${errorLength(aboutMean)} instead of ${errorLength(aboutTarget)}.`;
}

function nextForUnprovedBias(end: Consistency): string {
  const needed = runsToProveBias(end.biasTest?.distance2 ?? 0, end.nPose);
  const more =
    needed === null
      ? `An offset this small beside the scatter would take over ${MOST_RUNS} runs to prove.`
      : needed > end.nPose
        ? `About ${counted(needed - end.nPose, 'more run')} would tell.`
        : 'A second series of the same length would tell.';
  const spread =
    end.nPose < ENOUGH_FOR_SPREAD
      ? ` ${counted(ENOUGH_FOR_SPREAD - end.nPose, 'more run')} pin the spread to about a quarter.`
      : ' To get closer, find what scatters.';
  return `Do not re-aim. ${more}${spread}`;
}

/** Below this a heading error is not worth a word; from the second on it is the first thing to mend. */
const TOLD_FROM_RAD = radiansFromDegrees(1);
const FIRST_FROM_RAD = radiansFromDegrees(2);

/** "4.6° to the right" for a heading error that is proved and large enough; else null. */
function headingInWords({ biasHeadingRad, sdHeadingRad, nHeading }: Consistency): string | null {
  if (biasHeadingRad === null || sdHeadingRad === null) return null;
  if (Math.abs(biasHeadingRad) < TOLD_FROM_RAD) return null;
  if (!isHeadingOff(biasHeadingRad, sdHeadingRad, nHeading)) return null;
  return `${degrees(Math.abs(biasHeadingRad))} to the ${biasHeadingRad > 0 ? 'left' : 'right'}`;
}

function nextForHeading(end: Consistency): string | null {
  const turned = headingInWords(end);
  if (turned === null || Math.abs(end.biasHeadingRad ?? 0) < FIRST_FROM_RAD) return null;
  return `First find why the heading is off by ${turned}: what turned the robot has also moved its end. Watch the heading sensor for half a minute while the robot lies still, then check the turns.`;
}

function foundSentence(end: Consistency, travel: AlongAcrossFigures): string {
  const where = offsetInWords(travel.biasAlongM, travel.biasAcrossM);
  const turned = headingInWords(end);
  const heading = turned === null ? '' : `, turned ${turned}`;
  const radius = errorLength(end.r95AboutTargetM ?? 0);
  return where === ''
    ? `On average the robot ends on the target${heading}; 95 of 100 runs land within ${radius} of it.`
    : `On average the robot ends ${where}${heading}; 95 of 100 runs land within ${radius} of the target.`;
}

function sureSentence(end: Consistency): string {
  const p = end.biasTest?.pValue ?? 1;
  const odds = p < 0.01 ? 'in fewer than 1 of 100 series' : `in ${number(p * 100)} of 100 series`;
  const bias =
    end.biasTest === null
      ? 'The ends do not scatter enough to test the offset.'
      : end.biasTest.real
        ? `The offset is real: a robot that is aimed right would end so by luck ${odds}.`
        : `The offset may be luck: a robot that is aimed right would end so ${odds}.`;
  const known = ([low, high]: (number | null)[]) =>
    `${errorLength(low ?? 0)} to ${errorLength(high ?? 0)}`;
  const target = known([end.r95AboutTargetLow95M, end.r95AboutTargetHigh95M]);
  const mean = known([end.r95AboutMeanLow95M, end.r95AboutMeanHigh95M]);
  return `${bias} From ${counted(end.nPose, 'measured end')} the true radius is known to ${target}. About their own middle 95 of 100 runs lie within ${errorLength(end.r95AboutMeanM ?? 0)} (${mean}).`;
}

/** The honest sentences about a series, from its figures. */
export function verdict(
  end: Consistency,
  travel: AlongAcrossFigures | null,
  allWorked: AllWorked | null,
): Verdict {
  const success = successSentence(end, allWorked);
  if (end.nPose < 3 || travel === null) return tooFew(end, allWorked);
  return {
    found: foundSentence(end, travel),
    sure: `${sureSentence(end)}${success}`,
    next:
      nextForHeading(end) ??
      (end.biasTest?.real === true ? nextForRealBias(end, travel) : nextForUnprovedBias(end)),
  };
}
