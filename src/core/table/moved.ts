import type { Table } from './table';

/* What the robot takes away from its table, and what it leaves on it. */

interface Moved {
  goneAfter?: string | null | undefined;
  thereAfter?: string | null | undefined;
}

const thingsOn = ({ walls, fields, obstacles }: Table): Moved[] => [
  ...walls,
  ...fields,
  ...obstacles,
];

/** Whether it is not there from the first to the last. */
export const isMoved = ({ goneAfter, thereAfter }: Moved): boolean =>
  (goneAfter ?? thereAfter ?? null) !== null;

/** Whether anything on a table is taken away or left by what is worked. */
export const hasMoved = (table: Table): boolean => thingsOn(table).some(isMoved);

const made = new WeakMap<Table, Map<string, Table>>();

/**
 * A table as it is after some of its missions were worked: without what they take away, with what they leave.
 *
 * @param worked the ids of these missions
 */
export function asLeft(table: Table, worked: readonly string[]): Table {
  if (!hasMoved(table)) return table;
  const key = JSON.stringify([...new Set(worked)].toSorted());
  const known = made.get(table) ?? new Map<string, Table>();
  made.set(table, known);
  const isThere = ({ goneAfter, thereAfter }: Moved): boolean =>
    !worked.includes(goneAfter ?? '') && (thereAfter == null || worked.includes(thereAfter));
  const left = known.get(key) ?? {
    ...table,
    walls: table.walls.filter(isThere),
    fields: table.fields.filter(isThere),
    obstacles: table.obstacles.filter(isThere),
  };
  known.set(key, left);
  return left;
}

/** A load: what the robot takes away as it works one mission, and leaves as it works another. */
export interface Load {
  takenBy: string;
  leftBy: string;
}

/** What a robot carries from one mission to another that needs it: when it is fetched between, that is lost. */
export function loadsOn(table: Table): Load[] {
  const things = thingsOn(table);
  const takes = (id: string) => things.some(({ goneAfter }) => goneAfter === id);
  const leaves = (id: string) => things.some(({ thereAfter }) => thereAfter === id);
  return table.missions
    .filter(({ id }) => leaves(id))
    .flatMap(({ id, after }) =>
      after.filter(takes).map((takenBy): Load => ({ takenBy, leftBy: id })),
    );
}

/** The same table where a mission is no more: what it would have moved stays. */
export function withoutMission(table: Table, id: string): Table {
  const freed = <T extends Moved>(thing: T): T => ({
    ...thing,
    ...(thing.goneAfter === id && { goneAfter: null }),
    ...(thing.thereAfter === id && { thereAfter: null }),
  });
  return {
    ...table,
    walls: table.walls.map(freed),
    fields: table.fields.map(freed),
    obstacles: table.obstacles.map(freed),
    missions: table.missions.filter((mission) => mission.id !== id),
  };
}
