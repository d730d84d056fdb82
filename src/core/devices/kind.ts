import type { Fields, NumberValue, Values } from '../description/description';
import type { Draws } from '../stats/random';
import type { DeviceChannel } from './channel';
import type { PortClass } from './portClasses';

/** All that is known of a kind of unit, but for how the simulator reads it (core/sensing). */
export interface DeviceKind<Kind extends string = string, Behaviour extends Fields = Fields> {
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
  /** What it reads, number by number; none for what the machine itself reads, and for what reads nothing. */
  channels: readonly DeviceChannel[];
  /** It turns a wheel that drives the robot, which has one of it. */
  isDriven?: true;
  /** What one is called where its kind alone would say too little. */
  called?: string;
  /** What else is to be known on a sheet about one that behaves so. */
  note?(behaviour: Values<Behaviour>): string;
  /** What a battery that is weak takes from it; the share of readings that it loses then. */
  lostWhenWeak?: number;
  /** What a stand-in's own differs by from what is usual; it is hidden from whoever measures. */
  hidden?(draws: Draws): Partial<Values<Behaviour>>;
  /** Those values of its behaviour by which its readings scatter; null where they do not. */
  noise: Readonly<Record<string, NumberValue>> | null;
}

/** What a usual kind is not. */
const USUAL = { single: false, isBuiltInSomewhere: false, faces: false, lack: null };

/** A kind by what is special about it; keeps the types of what it is given. */
export const deviceKind = <const Kind extends string, Behaviour extends Fields>(
  kind: Omit<DeviceKind<Kind, Behaviour>, keyof typeof USUAL> &
    Partial<Pick<DeviceKind, keyof typeof USUAL>>,
): DeviceKind<Kind, Behaviour> => ({ ...USUAL, ...kind });
