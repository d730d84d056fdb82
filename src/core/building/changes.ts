import { displaySettings } from '../text/displaySettings';
import type { BuildingSheet } from './sheet';

type Sheet = Pick<BuildingSheet, 'devices' | 'recipes' | 'program'>;

/** Lines with the decimal sign that the team writes today: it may have written another when it typed them in. */
const asWrittenToday = (text: string): string =>
  text.replace(/(?<=\d)[.,](?=\d)/g, displaySettings().decimalSign);

const CALL = /^\s*(\d[\w.]*): (.+?)(?: \((.+)\))?$/;

/** What a numbered line calls, and with which numbers. */
interface Call {
  step: string;
  block: string;
  values: ReadonlyMap<string, string>;
}

const callsOf = ({ program }: Sheet): Call[] =>
  program.flatMap((line) => {
    const [, step, block = '', told = ''] = CALL.exec(line) ?? [];
    if (step === undefined) return [];
    const values = told.split(', ').flatMap((one) => {
      const [name = '', value] = one.split(' = ');
      return value === undefined ? [] : [[name, asWrittenToday(value)] as const];
    });
    return [{ step, block, values: new Map(values) }];
  });

/**
 * Which calls are the same ones, in the order of both: the longest list of them that both have in common.
 *
 * Source: longest common subsequence, Cormen et al., Introduction to Algorithms, 4th ed., 2022, section 14.4.
 */
function paired(before: readonly Call[], now: readonly Call[]): [Call | null, Call | null][] {
  const longest = before.map(() => new Array<number>(now.length + 1).fill(0));
  const at = (i: number, k: number) => longest[i]?.[k] ?? 0;
  const isSame = (i: number, k: number) => before[i]?.block === now[k]?.block;
  for (let i = before.length - 1; i >= 0; i -= 1) {
    const row = longest[i] ?? [];
    for (let k = now.length - 1; k >= 0; k -= 1)
      row[k] = isSame(i, k) ? at(i + 1, k + 1) + 1 : Math.max(at(i + 1, k), at(i, k + 1));
  }
  const pairs: [Call | null, Call | null][] = [];
  for (let [i, k] = [0, 0]; i < before.length || k < now.length;) {
    const [old = null, one = null] = [before[i], now[k]];
    const isBoth = old !== null && one !== null && isSame(i, k);
    const isGone = !isBoth && old !== null && (one === null || at(i + 1, k) >= at(i, k + 1));
    pairs.push(isBoth ? [old, one] : isGone ? [old, null] : [null, one]);
    if (isBoth || isGone) i += 1;
    if (!isGone) k += 1;
  }
  return pairs;
}

/** What else stands in the program: how often it repeats, what it asks. */
const restOf = ({ program }: Sheet): string =>
  asWrittenToday(program.filter((line) => !CALL.test(line)).join('\n'));

function changedCall(before: Call | null, now: Call | null): string[] {
  if (now === null) return before === null ? [] : [`Step ${before.step} is gone: ${before.block}.`];
  if (before === null) return [`Step ${now.step} is new: ${now.block}.`];
  const changed = [...now.values].filter(([name, value]) => before.values.get(name) !== value);
  if (changed.length === 0) return [];
  const said = changed.map(
    ([name, value]) => `${name} is ${value}, before ${before.values.get(name) ?? 'nothing'}`,
  );
  const was = before.step === now.step ? '' : ` (before: step ${before.step})`;
  return [`Step ${now.step}${was}: ${said.join('; ')}.`];
}

/**
 * What has changed between two building sheets, in sentences: what whoever typed the first has to change in the robot.
 *
 * @returns nothing where both are typed alike
 */
export function sheetChanges(before: Sheet, now: Sheet): string[] {
  const steps = paired(callsOf(before), callsOf(now)).flatMap(([old, one]) =>
    changedCall(old, one),
  );
  const rest =
    restOf(before) === restOf(now) ? [] : ['What the program asks or repeats has changed.'];
  const blocks = now.recipes.flatMap(({ name, lines }) => {
    const known = before.recipes.find((one) => one.name === name);
    if (known === undefined) return [`The block “${name}” is new.`];
    return asWrittenToday(known.lines.join('\n')) === asWrittenToday(lines.join('\n'))
      ? []
      : [`The lines of the block “${name}” have changed.`];
  });
  const devices = now.devices.flatMap(({ name, port }) => {
    const known = before.devices.find((one) => one.name === name);
    if (known === undefined) return [`${name} is new, on port ${port}.`];
    return known.port === port ? [] : [`${name} is on port ${port}, before on ${known.port}.`];
  });
  return [...devices, ...steps, ...rest, ...blocks];
}
