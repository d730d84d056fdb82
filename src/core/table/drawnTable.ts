import type { RandomStream } from '../stats/random';
import { laidOut } from './laidOut';
import { asLeft } from './moved';
import type { Table } from './table';

interface Present {
  share?: number | null | undefined;
}

/** Whether something may be there in one run and not in another. */
export const isDrawn = ({ share = null }: Present): boolean => share !== null && share < 1;

/** Whether all that is on a table always is. */
export const isSettled = ({ walls, fields, obstacles }: Table): boolean =>
  ![...walls, ...fields, ...obstacles].some(isDrawn);

const keeping = (table: Table, isThere: (one: Present) => boolean): Table =>
  isSettled(table)
    ? table
    : {
        ...table,
        walls: table.walls.filter(isThere),
        fields: table.fields.filter(isThere),
        obstacles: table.obstacles.filter(isThere),
      };

/**
 * A table as it is as a rule: with what is there in half of the runs or more; as robots meet it.
 *
 * @param worked the ids of the missions that were worked before
 */
export function usualTable(table: Table, worked: readonly string[] = []): Table {
  const left = asLeft(table, worked);
  const known = usual.get(left);
  if (known !== undefined) return known;
  const made = laidOut(keeping(left, ({ share }) => (share ?? 1) >= 0.5));
  usual.set(left, made);
  return made;
}

const usual = new WeakMap<Table, Table>();

/** A table as it is in one run: each thing on it that is not always there is drawn. */
export const drawnTable = (table: Table, random: RandomStream): Table =>
  keeping(table, (one) => !isDrawn(one) || random.uniform() < (one.share ?? 1));
