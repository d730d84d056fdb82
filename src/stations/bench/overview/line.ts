import type { Group, Known } from '../procedure';

/** A procedure as the overview shows it. */
export interface OverviewLine extends Known {
  id: string;
  title: string;
  group: Group;
  goodFor: string;
  minutes: number | null;
  /** Whether it gives a calibration. */
  gives: boolean;
}
