import { ROLL_OVERS, type RollOver } from './words';

/**
 * Whether a position lies so near to where its counter jumps that a move to it may read a whole turn off.
 *
 * @param reachRad how far from the angle a move may stand, either way
 */
export function isAtRollOver(angleRad: number, reachRad: number, counter: RollOver): boolean {
  const { atRad } = ROLL_OVERS[counter];
  if (atRad === null) return false;
  const turn = 2 * Math.PI;
  const beyond = angleRad - atRad;
  return Math.abs(beyond - turn * Math.round(beyond / turn)) <= reachRad;
}

/** Whether a move from one angle to another passes a place where its counter jumps. */
export function passesRollOver(fromRad: number, toRad: number, counter: RollOver): boolean {
  const { atRad } = ROLL_OVERS[counter];
  if (atRad === null) return false;
  const turnsBefore = (angleRad: number) => Math.floor((angleRad - atRad) / (2 * Math.PI));
  return turnsBefore(fromRad) !== turnsBefore(toRad);
}
