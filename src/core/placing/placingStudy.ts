import type { ThreeSentences } from '../gyro/still/stillSentence';
import { fQuantile } from '../stats/fDistribution';
import { counted, degrees, errorLength, number, aMetre } from '../text/quantities';
import type { Placed, PlacingGroup } from './placing';

/** Fewer placings hardly tell how single ones scatter. */
const ENOUGH = 8;
/** An aim that is off by less than this share of the scatter is not worth moving a jig for. */
const WORTH_MOVING = 0.5;

/** Just proved: another digit shows it. */
const JUST = 1.1;

/** Whether an interval excludes 0. */
const isProved = ({ low95, high95 }: Placed): boolean => low95 > 0 || high95 < 0;

const isOff = (placed: Placed): boolean =>
  isProved(placed) && Math.abs(placed.mean) > WORTH_MOVING * placed.scatter.sd;

const side = (value: number) => (value > 0 ? 'left' : 'right');

const range = ({ low95, high95 }: Placed, say: (value: number) => string): string => {
  const [near, far] = [Math.abs(low95), Math.abs(high95)].toSorted((a, b) => a - b);
  return `${say(near ?? 0)} to ${say(far ?? 0)}`;
};

/** How far off the mean start is, part by part, where that is proved and worth moving something for. */
export function aimParts({ along, across, heading }: PlacingGroup): string[] {
  const length = (metres: number) => errorLength(metres);
  return [
    ...(isOff(along)
      ? [
          `${length(Math.abs(along.mean))} (${range(along, length)}) too far ${along.mean > 0 ? 'ahead' : 'back'}`,
        ]
      : []),
    ...(isOff(across)
      ? [
          `${length(Math.abs(across.mean))} (${range(across, length)}) too far to the ${side(across.mean)}`,
        ]
      : []),
    ...(isOff(heading)
      ? [
          `${degrees(Math.abs(heading.mean))} (${range(heading, (angle) => degrees(angle))}) turned to the ${side(heading.mean)}`,
        ]
      : []),
  ];
}

/** Which of two groups scatters less after a metre, and how many times; null where that is not proved. */
export function closer(
  a: PlacingGroup,
  b: PlacingGroup,
): { closer: PlacingGroup; times: number; low95: number; high95: number } | null {
  const [near, far] =
    a.afterOneMetre.scatter.sd <= b.afterOneMetre.scatter.sd
      ? ([a, b] as const)
      : ([b, a] as const);
  if (near.n < 2 || far.n < 2) return null;
  const times = far.afterOneMetre.scatter.sd / near.afterOneMetre.scatter.sd;
  const [dFar, dNear] = [far.n - 1, near.n - 1];
  const low95 = times / Math.sqrt(fQuantile(0.975, dFar, dNear));
  return low95 > 1
    ? { closer: near, times, low95, high95: times * Math.sqrt(fQuantile(0.975, dNear, dFar)) }
    : null;
}

const called = ({ person, way }: PlacingGroup): string => `${person}, ${way}`;

/** What the other groups say beside this one: only what is proved. */
function beside(group: PlacingGroup, others: readonly PlacingGroup[]): string[] {
  return others.flatMap((other) => {
    const found = closer(group, other);
    const scatters =
      found === null
        ? []
        : [
            `${called(found.closer)}, lands ${number(found.times, 1)} times (${number(found.low95, found.low95 < JUST ? 2 : 1)} to ${number(found.high95, 1)}) closer together than ${called(found.closer === group ? other : group)}.`,
          ];
    const [a, b] = [group.afterOneMetre, other.afterOneMetre];
    const apart = a.mean - b.mean;
    // Both intervals together, as of independent means.
    const half = Math.hypot(a.high95 - a.mean, b.high95 - b.mean);
    const aims =
      Math.abs(apart) > half
        ? [
            `${called(group)}, aims further to the ${side(apart)} than ${called(other)}: ${errorLength(Math.abs(apart))} ± ${errorLength(half)} after ${aMetre()}.`,
          ]
        : [];
    return [...scatters, ...aims];
  });
}

function nextSentence(group: PlacingGroup, groups: readonly PlacingGroup[]): string {
  if (group.n < ENOUGH) {
    return `Place it ${counted(ENOUGH - group.n, 'more time')}, lifting it each time as after a run: so few tell little of how single placings scatter.`;
  }
  if (aimParts(group).length > 0) {
    return group.way === 'in the jig'
      ? 'Move the jig by that much, then begin a new list: what was measured before no longer holds.'
      : 'Put a mark on the table where it should stand, or build a jig; then begin a new list.';
  }
  const ways = new Set(groups.map(({ way }) => way));
  return ways.size === 1
    ? `Now let the same person place it ten times ${group.way === 'by hand' ? 'against a jig or a straight edge' : 'without the jig'}: then it is known what the jig is worth.`
    : 'Apply it: the forecast then begins with what these hands really do.';
}

/**
 * What the placings of one person in one way say, in three sentences.
 *
 * @param hasPlan whether it is known where the robot should stand: without it nothing is said of the aim
 */
export function placingSentences(
  group: PlacingGroup,
  groups: readonly PlacingGroup[],
  hasPlan: boolean,
): ThreeSentences {
  const { along, across, heading, afterOneMetre, n } = group;
  const who = `${called(group)}, ${counted(n, 'placing')}`;
  if (n < 2) {
    return {
      found: `${who}: one says nothing of how single ones differ.`,
      means: 'The start is the one error that every later step carries on.',
      next: nextSentence(group, groups),
    };
  }
  const { sd, low95, high95 } = afterOneMetre.scatter;
  const aim = hasPlan ? aimParts(group) : [];
  const ofAim = !hasPlan
    ? ' Where it should stand was not told: of its aim nothing is known.'
    : aim.length > 0
      ? ` On average it stands ${aim.join(', ')}.`
      : ' No aim beside the plan is proved.';
  return {
    found: `${who}: ± ${errorLength(along.scatter.sd, 1)} along, ± ${errorLength(across.scatter.sd, 1)} across, ± ${degrees(heading.scatter.sd, 2)} of heading.${ofAim}`,
    means: [
      `After ${aMetre()} of driving that is ± ${errorLength(sd)} across (${errorLength(low95)} to ${errorLength(high95)}), before the robot has made any error of its own.`,
      ...beside(
        group,
        groups.filter((other) => other !== group && other.n > 1),
      ),
    ].join(' '),
    next: nextSentence(group, groups),
  };
}
