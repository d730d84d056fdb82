import type { Device } from '../../devices/device';

/** A value of a step that the robot can tell by what it reads where somebody has placed it. */
export interface Taught<S> {
  /** How it is to be placed: "where it should stop". */
  placed: string;
  /** What is read there: a channel of one of its units, or which way it heads. */
  of: { unit: Device; channel: string } | 'heading';
  /** The step as it is for such a reading, in the core's unit; a heading is that on the table. */
  with(reading: number): S;
}
