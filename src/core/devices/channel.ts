import type { QuantityName } from '../quantities/quantities';

/** A column of a log in which a channel stands. */
export interface DeviceColumn {
  /** The name of the column where a robot has one such unit. */
  alone: string;
  /** The ending of its name, which says its unit. */
  ending: string;
  /** From the core's unit to that of the column. */
  factor: number;
  decimals: number;
}

/** What a step may wait for a channel to read, as its sentence says it. */
export interface DeviceReading {
  /** "until the distance reads". */
  words: string;
  quantity: QuantityName;
  /** In the core's unit. */
  most: number;
  /** Of what is on or off: what it is called above and below the middle. */
  states?: { above: string; below: string };
}

/** One of the numbers that a unit reads at a moment. */
export interface DeviceChannel {
  /** By this name simulator, stand-in and controllers ask for it. */
  name: string;
  column: DeviceColumn;
  /** Null for what no step waits for. */
  reads: DeviceReading | null;
  /** The value of its behaviour that says whether a unit has it; left out where each has. */
  onlyWith?: string;
}

/** Which reading: a channel of one of the robot's units. */
export interface ReadingOf {
  unitId: string;
  channel: string;
}
