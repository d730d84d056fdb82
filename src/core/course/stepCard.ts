import type { Robot } from '../robot/robot';
import { complement } from '../steps/condition/complement';
import { branchesOf, isOwner, type Step } from '../steps/descriptions';
import { listsWithin, numbered, type NumberedStep, type StepPath } from '../steps/tree';
import { kindOfStep } from '../steps/registry';
import { leavesOf } from '../steps/untilCondition';
import type { Table } from '../table/table';
import { rawHeading } from '../program/rawHeading';
import { rawText } from '../program/rawReading';
import { shortNumber } from '../text/quantities';
import { plannedBranches } from './branches';
import { describeStep } from './describe';
import { headingsSet, type HeadingsAt } from './headingsSet';
import { conditionText, leaveText, type LeftAt } from './leaveText';
import { planRoute, type PlannedStep } from './plan';
import { notesOnStep, stepInProgram } from './programSentence';
import type { Route } from './route';

/** A step as whoever types the program, or places the robot, needs it. */
export interface CardRow {
  number: string;
  path: StepPath;
  step: Step;
  /** When it is made, where it stands in one of several lists: "if so". */
  when: string;
  /** What it does, in one sentence. */
  words: string;
  /** How fast and how far, in the numbers of the robot's programs; null: it has none, or nobody said how they count. */
  told: string | null;
  /** The heading that it holds on its way; null: none. */
  holds: string | null;
  /** It is left as soon as one of these is so; the number in them is the one to type. */
  until: string[];
  /** What the program is told its heading is after it; null: it goes on counting. */
  sets: string | null;
  /** Not done by then it is given up, s; null: it takes no longer than it says. */
  atMostS: number | null;
  notes: string[];
  /** Where it is planned to lead, the first time; null: it is never made. */
  planned: PlannedStep | null;
  isRepeated: boolean;
}

/** The number that a program sets its heading to, or that it zeroes it. */
function setsText({ setsRad, zeroRad }: HeadingsAt, robot: Robot): string | null {
  if (setsRad === null) return null;
  return robot.program.setsHeading === 'zero'
    ? 'zero the heading'
    : `set the heading to ${rawText(rawHeading(robot, setsRad - zeroRad))}`;
}

/** Which heading it holds, as its program is told it. */
function holdsText({ planned: { step, from }, at }: Made, robot: Robot): string | null {
  const { steering } = kindOfStep(step).inProgram;
  if (steering?.holds === undefined || steering.of(step) === null) return null;
  return steering.holds(step) === 'planned'
    ? `hold the heading at ${rawText(rawHeading(robot, from.headingRad - at.zeroRad))}`
    : 'hold the heading that it has as the step begins';
}

/** What ends of itself at its time needs no other limit. */
const isTimed = (until: readonly unknown[], { timeoutS, durationS }: PlannedStep): boolean =>
  until.length === 0 || timeoutS <= durationS;

interface Made {
  planned: PlannedStep;
  at: HeadingsAt;
}

/** Each step where it is made first, on the usual way or on one that passes by it, with how headings are counted there. */
function madeFirst(route: Route, robot: Robot, table: Table): Map<string, Made[]> {
  const usual = planRoute(route, robot, table);
  const branches = plannedBranches(route, robot, table, usual);
  const ways = [usual, ...branches.map(({ way }) => way)];
  const found = new Map<string, Made[]>();
  for (const way of ways) {
    const headings = headingsSet(way, route.start.headingRad, robot);
    const onWay = new Map<string, Made[]>();
    for (const [i, planned] of way.entries()) {
      const at = headings[i] as HeadingsAt;
      const { id } = planned.step;
      onWay.set(id, [...(onWay.get(id) ?? []), { planned, at }]);
    }
    for (const [id, made] of onWay) if (!found.has(id)) found.set(id, made);
  }
  // What is made while a motion is stands in no way.
  for (const planned of branches.flatMap(({ steps }) => steps)) {
    const { id } = planned.step;
    const at = { zeroRad: route.start.headingRad, setsRad: null };
    if (!found.has(id)) found.set(id, [{ planned, at }]);
  }
  return found;
}

/** When the steps of each list are made, by the paths at which the lists begin. */
function whenOf(steps: readonly NumberedStep[]): Map<string, string> {
  const words = new Map<string, string>();
  for (const one of steps) {
    const { step } = one;
    if (!isOwner(step)) continue;
    for (const list of listsWithin({ ...one, step }))
      words.set([...list.place.path, 0].join('/'), list.words);
  }
  return words;
}

const NOTHING = { told: null, holds: null, until: [], sets: null, atMostS: null, notes: [] };

function motionRow({ planned, at }: Made, robot: Robot, table: Table) {
  const { step, choice, to } = planned;
  const left: LeftAt = { robot, zeroRad: at.zeroRad, headingRad: to.headingRad };
  if (choice !== undefined) {
    const asked = choice.looksAt.map((one) => `${conditionText(one, left)}?`);
    return { ...NOTHING, until: [...asked, ...(choice.told?.(robot) ?? [])] };
  }
  const leaves = leavesOf(step, planned, robot, table);
  return {
    told: stepInProgram(robot, step, planned),
    holds: holdsText({ planned, at }, robot),
    until: leaves.map((leave) => leaveText(leave, left)),
    sets: setsText(at, robot),
    atMostS: isTimed(leaves, planned) ? null : planned.timeoutS,
    notes: [
      ...(planned.standsAgainst === undefined
        ? []
        : [`It squares up on ${planned.standsAgainst}.`]),
      ...notesOnStep(robot, step),
    ],
  };
}

/** Of a step that watches something while a motion of it is made: from which reading on, and until which. */
function watchNotes({ planned, at }: Made, robot: Robot): string[] {
  const { reaction, to } = planned;
  if (reaction === undefined) return [];
  const left: LeftAt = { robot, zeroRad: at.zeroRad, headingRad: to.headingRad };
  const ends = complement(reaction.on, reaction.hysteresis);
  return [
    `It begins as soon as ${conditionText(reaction.on, left)}, and ends as soon as ${conditionText(ends, left)}.`,
  ];
}

/**
 * A route as it is typed into the robot, step by step: the numbers to type, and the inequality by which each step is
 * left, with the unit and the sign that the robot's own programs show.
 */
export function stepCard(route: Route, robot: Robot, table: Table): CardRow[] {
  const all = numbered(route.steps);
  const first = madeFirst(route, robot, table);
  const when = whenOf(all);
  return all.map(({ step, number, path }) => {
    const made = first.get(step.id) ?? [];
    const [once] = made;
    const [motion] = isOwner(step) ? (branchesOf(step)[0]?.steps ?? []) : [];
    const [watched] = (motion && first.get(motion.id)) ?? [];
    return {
      number,
      path,
      step,
      when: when.get(path.join('/')) ?? '',
      words: describeStep(step, table.missions),
      ...(once !== undefined
        ? motionRow(once, robot, table)
        : watched === undefined
          ? NOTHING
          : { ...NOTHING, notes: watchNotes(watched, robot) }),
      planned: once?.planned ?? null,
      isRepeated: made.length > 1,
    };
  });
}

/** When a step is left, or what it asks, in one sentence without its full stop. */
const untilText = (until: readonly string[]): string =>
  until.every((one) => one.endsWith('?'))
    ? `It asks: ${until.join(' and ')}`.replace(/\?$/, '')
    : `Until ${until.join(', or ')}`;

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What is typed for a step, in sentences. */
export const typedSentences = ({
  told,
  holds,
  until,
  sets,
  atMostS,
  notes,
}: Pick<CardRow, 'told' | 'holds' | 'until' | 'sets' | 'atMostS' | 'notes'>): string[] => [
  ...(told === null ? [] : [`In the program: ${told}.`]),
  ...(holds === null ? [] : [`${capital(holds)}.`]),
  ...(until.length === 0 ? [] : [`${untilText(until)}.`]),
  ...(atMostS === null ? [] : [`Give up after ${shortNumber(atMostS, 1)} s.`]),
  ...(sets === null ? [] : [`Then ${sets}.`]),
  ...notes,
];
