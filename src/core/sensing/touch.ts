import type { UnitOf } from '../units/unit';
import { gapAhead } from '../table/ray';
import type { UnitReader, UnitWorld } from './reader';

/** A touch sensor: 1 while something is within its reach, 0 otherwise. */
export const touchReader =
  (unit: UnitOf<'touch sensor'>, { surfaces }: UnitWorld): UnitReader =>
  (pose) => ({ touch: gapAhead(pose, unit, 0, surfaces) <= unit.behaviour.reachM ? 1 : 0 });
