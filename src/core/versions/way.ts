/** A record as it was kept, before anything is known of it. */
export type Kept = Readonly<Record<string, unknown>>;

/**
 * A change of how a record is written: its name, and its way up. A record carries the name of the last one that it
 * has been through. One that carries none was kept before formats had names: a way leaves as it is what is written
 * in its form already.
 */
export interface Way {
  name: string;
  up(record: Kept): Kept;
}

/** All ways of a sort of record, the oldest first. */
export type Ways = readonly [...Way[], Way];

/** The name that a record carries when it has been through all of them. */
export const formatOf = (ways: Ways): string => (ways.at(-1) as Way).name;

export const isKept = (value: unknown): value is Kept =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether a record is in a form that this Corvat knows; a later one keeps others. */
export const isKnown = ({ format }: Kept, ways: Ways): boolean =>
  format === undefined || ways.some(({ name }) => name === format);

/** A record in today's form, of one whose form is known. */
export function broughtForward(record: Kept, ways: Ways): Kept {
  const been = ways.findIndex(({ name }) => name === record.format);
  const today = ways.slice(been + 1).reduce((so, way) => way.up(so), record);
  return { ...today, format: formatOf(ways) };
}
