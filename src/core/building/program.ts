import { headingsSet } from '../course/headingsSet';
import { planRoute, type PlannedStep } from '../course/plan';
import type { Route } from '../course/route';
import type { Line } from '../recipe/lines';
import { LEAVE } from '../recipe/loops';
import { branchesOf, isOwner, type OwnerStep, type Step } from '../steps/descriptions';
import { motionsMade } from '../steps/inOrder';
import { ownerKindOf } from '../steps/registry';
import type { StepPath } from '../steps/tree';
import type { Table } from '../table/table';
import { callLines, type Made, type Writing } from './calls';

/** Answers double the ways through a route: after so many no other is followed, and the program gives up there. */
const MOST_WAYS = 60;

/** A way through a route, with how headings are counted on it. */
type Way = Made[];

interface Writer {
  writing: Writing;
  /** Null: too many were asked for already. What a way begins with that is known need not be planned again. */
  wayOf(answers: readonly string[], begun?: Way): Way | null;
  route: Route;
}

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The steps that own one of a route, the outermost first. */
function ownersOf(route: Route, path: StepPath): OwnerStep[] {
  const owners: OwnerStep[] = [];
  let list: readonly Step[] = route.steps;
  let rest = path;
  for (;;) {
    const step = list[Number(rest[0])];
    if (step === undefined || !isOwner(step)) return owners;
    rest = rest.slice(1);
    const branch = branchesOf(step).find(({ at }) => at.every((name, i) => rest[i] === name));
    owners.push(step);
    if (branch === undefined || branch.isSingle === true) return owners;
    rest = rest.slice(branch.at.length);
    list = branch.steps;
  }
}

/** What all lists of lines end with alike stands once, after them. */
function withTail([first = [], ...others]: readonly Line[][]): { lists: Line[][]; tail: Line[] } {
  const all = [first, ...others];
  const least = Math.min(...all.map(({ length }) => length));
  let n = 0;
  while (n < least && others.every((one) => isSame(one.at(-1 - n), first.at(-1 - n)))) n += 1;
  return {
    lists: all.map((one) => one.slice(0, one.length - n)),
    tail: first.slice(first.length - n),
  };
}

/** What is done with each answer; ANSWER is 0 for the last. */
function branchLines(lists: readonly Line[][]): Line[] {
  const made = lists
    .map((lines, i) => ({ n: (i + 1) % lists.length, lines }))
    .filter(({ lines }) => lines.length > 0);
  return made.reduceRight<Line[]>((rest, { n, lines }, i) => {
    if (i === lists.length - 1) return lines;
    return [`if ANSWER = ${n}:`, lines, ...(rest.length === 0 ? [] : ['otherwise:', rest])];
  }, []);
}

const looked = ({ planned, at: { zeroRad } }: Made, { program, blocks }: Writing): Line[] =>
  planned.choice?.lines({ planned, program, zeroRad, call: (block) => blocks.call(block) }) ?? [];

const answersBefore = (way: Way, i: number): string[] =>
  way.slice(0, i).flatMap(({ planned: { answer } }) => answer ?? []);

/** The lines from a place of a way on, to the end of the route; `within` so many owners it stands already. */
function linesFrom(writer: Writer, way: Way, from: number): Line[] {
  const lines: Line[] = [];
  for (let i = from; i < way.length;) {
    const made = way[i] as Made;
    const loop = loopAt(writer, way, i);
    if (loop !== null) {
      lines.push(...loop.lines);
      if (loop.goesOn === null) return lines;
      ({ i, way } = loop.goesOn);
      continue;
    }
    const { choice } = made.planned;
    if (choice !== undefined) return [...lines, ...askedLines(writer, way, i)];
    lines.push(...callLines(made, writer.writing));
    i += 1;
  }
  return lines;
}

/** A question, and how it goes on with each answer. */
function askedLines(writer: Writer, way: Way, i: number): Line[] {
  const made = way[i] as Made;
  const { choice } = made.planned;
  if (choice === undefined) return [];
  const before = answersBefore(way, i);
  const lists = choice.answers.map((answer) => {
    const next =
      answer === choice.givesUp ? null : writer.wayOf([...before, answer], way.slice(0, i));
    return next === null ? ['give up'] : linesFrom(writer, next, i + 1);
  });
  const parted = withTail(lists);
  return [...looked(made, writer.writing), ...branchLines(parted.lists), ...parted.tail];
}

interface Loop {
  lines: Line[];
  /** Where it goes on after it; null: nowhere. */
  goesOn: { way: Way; i: number } | null;
}

/** A repetition that begins here, where its rounds are typed alike; null: none. */
function loopAt(writer: Writer, way: Way, i: number): Loop | null {
  const path = (way[i] as Made).planned.path;
  const before = i === 0 ? [] : ownersOf(writer.route, (way[i - 1] as Made).planned.path);
  const begun = ownersOf(writer.route, path).filter((one) => !before.includes(one));
  const owner = begun.find((one) => ownerKindOf(one).repeats);
  if (owner === undefined) return null;
  const kind = ownerKindOf(owner);
  const isAsking = (kind.looksAt?.(owner).length ?? 0) > 0;
  return isAsking
    ? askingLoop(writer, way, i, owner, kind.times(owner))
    : countedLoop(writer, way, i, owner, kind.times(owner));
}

const linesBetween = (writer: Writer, way: Way, from: number, to: number): Line[] =>
  way.slice(from, to).flatMap((made) => callLines(made, writer.writing));

const asksBetween = (way: Way, from: number, to: number): boolean =>
  way.slice(from, to).some(({ planned }) => planned.choice !== undefined);

function countedLoop(
  writer: Writer,
  way: Way,
  i: number,
  owner: OwnerStep,
  times: number,
): Loop | null {
  const size = branchesOf(owner).reduce((sum, { steps }) => sum + motionsMade(steps), 0);
  const end = i + times * size;
  if (times < 2 || asksBetween(way, i, end)) return null;
  const rounds = Array.from({ length: times }, (_, round) =>
    linesBetween(writer, way, i + round * size, i + (round + 1) * size),
  );
  return rounds.every((round) => isSame(round, rounds[0]))
    ? { lines: [`repeat ${times} times:`, rounds[0] ?? []], goesOn: { way, i: end } }
    : null;
}

/** One that is made until something is so: where its second round, and what comes after, are typed as after the first. */
function askingLoop(
  writer: Writer,
  way: Way,
  i: number,
  owner: OwnerStep,
  most: number,
): Loop | null {
  const asks = (of: Way, from: number) =>
    of.findIndex(({ planned }, k) => k >= from && planned.choice !== undefined);
  const first = asks(way, i);
  const made = way[first];
  const choice = made?.planned.choice;
  if (made === undefined || choice === undefined || made.planned.step.id !== owner.id) return null;
  const before = answersBefore(way, i);
  const [done = '', again = ''] = choice.answers;
  const begun = way.slice(0, first);
  const once = writer.wayOf([...before, done], begun);
  const twice = writer.wayOf([...before, again, done], begun);
  if (once === null || twice === null) return null;
  const second = asks(twice, first + 1);
  const look = (of: Way, k: number) => looked(of[k] as Made, writer.writing);
  const round = [...linesBetween(writer, way, i, first), ...look(way, first)];
  const next =
    second === -1
      ? null
      : [...linesBetween(writer, twice, first + 1, second), ...look(twice, second)];
  const rest = (of: Way, k: number) => of.slice(k + 1).map((one) => callLines(one, writer.writing));
  const isAlike =
    most === 1 || (isSame(round, next) && isSame(rest(once, first), rest(twice, second)));
  if (!isAlike) return null;
  return {
    lines: [
      `repeat ${most} times:`,
      [...round, 'if ANSWER = 1:', [LEAVE]],
      'if ANSWER = 0:',
      ['give up'],
    ],
    goesOn: { way: once, i: first + 1 },
  };
}

/**
 * The lines of a whole route, in the order in which they are typed; and whether they hold each way through it.
 */
export function programLines(
  route: Route,
  writing: Writing,
  table: Table,
): { lines: Line[]; isWhole: boolean } {
  const { robot } = writing.program;
  const known = new Map<string, Way>();
  let isWhole = true;
  const plannedWay = (answers: readonly string[], begun: Way): Way => {
    const plannedBefore = begun.map(({ planned }) => planned);
    const plan: PlannedStep[] = planRoute(route, robot, table, answers, plannedBefore);
    const headings = headingsSet(plan, route.start.headingRad, robot);
    return plan.flatMap((planned, i) => {
      const at = headings[i];
      return at === undefined ? [] : [{ planned, at }];
    });
  };
  const wayOf = (answers: readonly string[], begun: Way = []): Way | null => {
    const key = answers.join('/');
    const before = known.get(key);
    if (before !== undefined) return before;
    if (known.size >= MOST_WAYS) {
      isWhole = false;
      return null;
    }
    const way = plannedWay(answers, begun);
    known.set(key, way);
    return way;
  };
  const lines = linesFrom({ writing, wayOf, route }, wayOf([]) ?? [], 0);
  return { lines, isWhole };
}
