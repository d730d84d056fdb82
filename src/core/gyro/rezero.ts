import { median } from '../stats/median';
import { wilson, type SuccessRate } from '../stats/wilson';
import { clock, counted, degrees, percent } from '../text/quantities';
import { driftText } from './driftText';
import type { StillVerdict } from './stillVerdict';

/** Ways of getting rid of drift. */
export type RezeroSchool =
  'restart' | 'reconnect' | 're-initialise' | 'estimate at start' | 're-anchor';

export interface SchoolFacts {
  school: RezeroSchool;
  title: string;
  /** What it takes at the table, s; null: as long as this sensor has to stand still. */
  takesS: number | null;
  needs: string;
  steps: string[];
  /** It needs a cable that can be pulled. */
  needsCable?: true;
}

/** The five schools, in the order in which they are usually tried. */
export const REZERO_FACTS: readonly SchoolFacts[] = [
  {
    school: 'restart',
    title: 'Restart the controller, lying still',
    takesS: 45,
    needs: 'a flat place, and nobody touching the robot',
    steps: [
      'Switch the robot off and put it on the table.',
      'Press the button, take the hand away at once.',
      'Wait until it has started; do not touch it meanwhile.',
    ],
  },
  {
    school: 'reconnect',
    needsCable: true,
    title: 'Unplug the sensor and plug it in again',
    takesS: 15,
    needs: 'a hand on the cable and a robot that does not move',
    steps: [
      'Hold the robot down on the table.',
      'Pull the sensor’s cable, count to three, plug it in.',
      'Let go and wait for two seconds.',
    ],
  },
  {
    school: 're-initialise',
    title: 'Let the program start the sensor anew',
    takesS: 5,
    needs: 'a program that switches the sensor’s mode and back, and waits',
    steps: [
      'Put the robot down, hands off.',
      'Start the program that switches the sensor to another mode and back.',
      'It waits until the reading stands still, then sets the heading to zero.',
    ],
  },
  {
    school: 'estimate at start',
    title: 'Measure the drift at the start and subtract it',
    takesS: null,
    needs: 'still seconds before each run, and a line in the program',
    steps: [
      'Put the robot at its start, hands off.',
      'The program reads the heading at the beginning and the end of the still time.',
      'From then on it takes drift × time off every reading.',
    ],
  },
  {
    school: 're-anchor',
    title: 'Square up on the way and set the heading',
    takesS: 3,
    needs: 'a straight wall or edge that the route passes',
    steps: [
      'Drive gently against something straight until both corners touch.',
      'Set the heading to what the wall says.',
      'Drive on: only the drift since then is left.',
    ],
  },
];

/** A check that followed one of the schools. */
export interface SchoolTrial {
  school: RezeroSchool;
  verdict: StillVerdict;
  driftRadPerS: number;
}

export interface SchoolRecord {
  facts: SchoolFacts;
  /** Null: never tried and checked. */
  success: SuccessRate | null;
  worked: number;
  tried: number;
  /** Median size of the drift after it; null: never checked. */
  leftRadPerS: number | null;
}

/** A check that could not tell. */
const isOpen = (verdict: StillVerdict): boolean =>
  verdict === 'measure-longer' ||
  verdict === 'check-again' ||
  verdict === 'not-enough-still-time' ||
  verdict === 'not-still';

/** A check that proves a run drivable: what a school is for. */
export const didWork = (verdict: StillVerdict): boolean =>
  verdict === 'steady' || verdict === 'correctable';

/**
 * What each school has come to in this team's hands. Checks that could not tell are not counted.
 *
 * @param isBuiltIn the heading sensor is part of the controller: it has no cable to unplug
 */
export function schoolRecords(trials: readonly SchoolTrial[], isBuiltIn = false): SchoolRecord[] {
  return REZERO_FACTS.filter(({ needsCable }) => !(isBuiltIn && needsCable)).map((facts) => {
    const own = trials.filter(({ school, verdict }) => school === facts.school && !isOpen(verdict));
    const worked = own.filter(({ verdict }) => didWork(verdict)).length;
    return {
      facts,
      worked,
      tried: own.length,
      success: wilson(worked, own.length),
      leftRadPerS:
        own.length === 0 ? null : median(own.map(({ driftRadPerS }) => Math.abs(driftRadPerS))),
    };
  });
}

/**
 * Heading error (one standard deviation) after t seconds when the drift was estimated in k still
 * seconds at the start: N·√(t²/k + t).
 *
 * Source: independent random walks during the estimate and the run.
 */
export const leftAfterEstimate = (walkRadPerSqrtS: number, k: number, t: number): number =>
  walkRadPerSqrtS * Math.sqrt((t * t) / k + t);

/** However little the heading wanders: a reading takes its time to settle. */
const LEAST_STILL_TIME_S = 2;

/**
 * The shortest still time before a run that keeps the heading within a tolerance (two standard
 * deviations), in whole seconds: the one figure for sentences and tables.
 *
 * @returns null when no still time can: the walk alone is too much
 */
export function stillTimeNeeded(
  walkRadPerSqrtS: number,
  runDurationS: number,
  toleranceRad: number,
): number | null {
  const variance = (toleranceRad / (2 * walkRadPerSqrtS)) ** 2 - runDurationS;
  if (variance <= 0) return null;
  return Math.max(LEAST_STILL_TIME_S, Math.ceil((runDurationS * runDurationS) / variance - 1e-9));
}

export interface Recommendation {
  /** Null: first something has to be found out. */
  school: RezeroSchool | null;
  reason: string;
}

interface Situation {
  verdict: StillVerdict;
  driftRadPerS: number;
  walkRadPerSqrtS: number;
  runDurationS: number;
  /** How far off drift may leave the heading: its share of what a run can bear. */
  allowedRad: number;
  /** What a sensor that started well shows at most. */
  healthyRadPerS: number;
  /** What there is before the next run, s. */
  timeS: number;
}

/** A school is trusted less the less it was tried: its chance by Laplace's rule. */
const chanceOf = ({ worked, tried }: SchoolRecord): number => (worked + 1) / (tried + 2);

/** Why the sensor has to be started anew rather than its drift subtracted. */
function whyAnew({ driftRadPerS, healthyRadPerS }: Situation, stillS: number | null): string {
  if (Math.abs(driftRadPerS) > healthyRadPerS) {
    return `A drift of ${driftText(driftRadPerS)} is more than a sensor that started well shows`;
  }
  return stillS === null
    ? 'The heading wanders so much by itself that no standing still before a run would be enough'
    : `Standing still for ${clock(stillS)} before each run is longer than there is time for`;
}

/**
 * Which school to try now: a correctable drift is subtracted; a large one needs the sensor started
 * anew, by what has worked best here among what the time allows; one that wanders, or without time,
 * is re-anchored on the way.
 *
 * @returns null when there is nothing to get rid of
 */
export function recommendSchool(
  situation: Situation,
  records: readonly SchoolRecord[],
): Recommendation | null {
  const { verdict, driftRadPerS, walkRadPerSqrtS, runDurationS, allowedRad, timeS } = situation;
  if (verdict === 'steady') return null;
  if (verdict === 're-anchor') {
    return {
      school: 're-anchor',
      reason:
        'The heading wanders by itself by more than a run can bear: neither a longer check nor subtracting can help.',
    };
  }
  if (isOpen(verdict)) {
    return {
      school: null,
      reason:
        'The last check could not tell: leave the sensor as it is, and let the robot lie still for longer first.',
    };
  }
  const stillS = stillTimeNeeded(walkRadPerSqrtS, runDurationS, allowedRad);
  if (verdict === 'correctable' && stillS !== null && stillS <= timeS) {
    return {
      school: 'estimate at start',
      reason: `The heading creeps evenly, by ${driftText(driftRadPerS)}: standing still for ${clock(stillS)} before each run measures it well enough to stay within ${degrees(allowedRad)}.`,
    };
  }
  const why = whyAnew(situation, stillS);
  const anew = records
    .filter(({ facts }) => ['restart', 'reconnect', 're-initialise'].includes(facts.school))
    .filter(({ facts }) => (facts.takesS ?? 0) <= timeS)
    .toSorted((a, b) => chanceOf(b) - chanceOf(a))[0];
  if (anew !== undefined) {
    const so =
      anew.success === null
        ? 'nothing is known yet of how well it works here'
        : `it worked ${counted(anew.worked, 'time')} of ${anew.tried} here (${percent(anew.success.low95)} to ${percent(anew.success.high95)})`;
    return {
      school: anew.facts.school,
      reason: `${why}; this takes ${anew.facts.takesS ?? 0} s, and ${so}.`,
    };
  }
  return {
    school: 're-anchor',
    reason: `${why}, and there is no time to start it anew: square up on the way, and only the drift since then counts.`,
  };
}

interface CheckedDrift {
  verdict: StillVerdict;
  driftRadPerS: number;
  low95: number;
  high95: number;
}

/** Whether a school helped: the drift before and after, each with its interval. */
export function proveRezero(before: CheckedDrift, after: CheckedDrift): string {
  const change = `Before: ${driftText(before.driftRadPerS)}. After: ${driftText(after.driftRadPerS)}.`;
  const apart = before.low95 > after.high95 || before.high95 < after.low95;
  const smaller = Math.abs(after.driftRadPerS) < Math.abs(before.driftRadPerS);
  if (after.verdict === 'measure-longer' && apart && smaller) {
    return `${change} It helped. Whether it is enough, a longer check tells.`;
  }
  if (isOpen(after.verdict)) {
    return `${change} The check afterwards is too short to prove anything: let it lie longer.`;
  }
  if (!apart) return `${change} No change is proved.`;
  if (!smaller) return `${change} It has become worse: try another way.`;
  return didWork(after.verdict)
    ? `${change} It helped, and the robot can drive.`
    : `${change} It helped, but not enough: try again, or another way.`;
}
