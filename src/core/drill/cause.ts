import type { RandomStream } from '../stats/random';
import type { CauseId } from './answers';

/** A line of a drill's chart. */
export interface DrillCurve {
  label: string;
  x: readonly number[];
  y: readonly number[];
  /** What was read, what another sensor says, or what was told. */
  is: 'read' | 'other' | 'told';
}

export interface DrillChart {
  title: string;
  yTitle: string;
  curves: readonly DrillCurve[];
}

/** What a student is shown. */
export interface DrillCase {
  /** What the robot was told to do. */
  told: string;
  charts: readonly DrillChart[];
}

/** Answers that can be taken for each other are asked together. */
export type DrillFamily = 'gain' | 'program';

/** Something that goes wrong, or nothing, with its pictures; what is known of it stands in its file. */
export interface DrillCause {
  /** As `answers.ts` names it. */
  id: CauseId;
  family: DrillFamily;
  /** By what it is seen, said after the answer. */
  why: string;
  /** A case of it, never twice the same. */
  make(random: RandomStream): DrillCase;
}

/** Any number between two. */
export const anywhere = (random: RandomStream, low: number, high: number): number =>
  low + (high - low) * random.uniform();
