import type { RandomWalk } from './randomWalk';

/** What the heading wanders in a run by white noise alone (two standard deviations). */
export const walkInRun = (walkRadPerSqrtS: number, runS: number): number =>
  2 * walkRadPerSqrtS * Math.sqrt(runS);

/** A walk that would still keep within one step of a reading for the length of a log, in such steps. */
const HIDDEN_STEPS = 0.5;

interface WalkInLog {
  walk: RandomWalk;
  /** Step of the heading; 0 for rates. */
  quantumRad: number;
  cleanS: number;
}

/** The walk that a run may bring: a reading that hardly changes hides some behind its step. */
export const walkToExpect = ({ walk, quantumRad, cleanS }: WalkInLog): number =>
  walk.degreesOfFreedom === Infinity
    ? Math.max(walk.radPerSqrtS, (HIDDEN_STEPS * quantumRad) / Math.sqrt(cleanS))
    : walk.radPerSqrtS;
