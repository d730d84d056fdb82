import '../displaySettings';
import { DEG_PER_S, scaled, SPEED, type Unit } from '../../core/quantities/units';
import type { TunedId } from '../../core/robot/tunedIds';
import { dampingUnit, integralUnit, SHOWN } from '../../core/control/tuned';

export * from '../../core/quantities/units';

/** The speed at which a gain is tried. */
export const tunedSpeedUnit = (id: TunedId): Unit => (SHOWN[id].speeds.isRate ? DEG_PER_S : SPEED);

/** A gain, as a coach says it. */
export function gainUnit(id: TunedId): Unit {
  const { unit, spoken, perSi } = SHOWN[id];
  return scaled(unit, spoken, perSi, 3, 1);
}

/** What is tuned second: for each unit a second of the error's change, and for each that stays for a second. */
export const dampingUnitOf = (id: TunedId): Unit =>
  scaled(dampingUnit(id), dampingUnit(id), SHOWN[id].perSi, 4, 0.1);
export const integralUnitOf = (id: TunedId): Unit =>
  scaled(integralUnit(id), integralUnit(id), SHOWN[id].perSi, 4, 0.1);
