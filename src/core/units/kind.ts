import type { QuantityName } from '../quantities/quantities';
import type { Fields, NumberValue } from '../description/description';
import type { PortClass } from './port';

/** What a kind of unit reads, as a column of a log. */
export interface UnitColumn {
  /** The name of the column where a robot has one such unit. */
  alone: string;
  /** The ending of its name, which says its unit. */
  ending: string;
  /** From the core's unit to that of the column. */
  factor: number;
  decimals: number;
}

/** What a step may wait for a unit to read, as its sentence says it. */
export interface UnitReading {
  /** "until the distance reads". */
  words: string;
  quantity: QuantityName;
  /** In the core's unit. */
  most: number;
  /** Of what is on or off: what it is called above and below the middle. */
  states?: { above: string; below: string };
}

/** All that is known of a kind of unit, but for how the simulator reads it (simulate/units). */
export interface UnitKind<Kind extends string = string, Behaviour extends Fields = Fields> {
  kind: Kind;
  /** How its units are labelled at first: a letter, and a number behind it. */
  letter: string;
  connection: PortClass;
  /** What it does, as far as it is known: values that its kind describes. */
  behaviour: Behaviour;
  /** A robot has at most one of it in use. */
  single: boolean;
  /** Whether some controllers have one built in. */
  isBuiltInSomewhere: boolean;
  /** Whether it matters which way it looks. */
  faces: boolean;
  /** What it would cost not to have one. */
  lack: string | null;
  column: UnitColumn | null;
  /** Those values of its behaviour by which its readings scatter; null where they do not. */
  noise: Readonly<Record<string, NumberValue>> | null;
  /** Null for what no step waits for. */
  reads: UnitReading | null;
}

/** Keeps the types of what it is given. */
export const unitKind = <const Kind extends string, Behaviour extends Fields>(
  kind: UnitKind<Kind, Behaviour>,
): UnitKind<Kind, Behaviour> => kind;
