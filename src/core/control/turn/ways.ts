import { proportional } from './proportional';
import type { TurnStrategy } from './schema';
import type { TurnWay } from './way';

type Of<S extends TurnStrategy['school']> = Extract<TurnStrategy, { school: S }>;

/** A turn that slows down goes at this share of the angle left a second. */
const SLOWING_PER_S = 2;

const WAYS: { [S in TurnStrategy['school']]: TurnWay<Of<S>> } = {
  encoder: {
    expectedS: ({ rateRadPerS, endRateRadPerS = rateRadPerS }, targetRad) =>
      Math.abs(targetRad) / rateRadPerS + Math.log(rateRadPerS / endRateRadPerS) / SLOWING_PER_S,
    rate(
      { rateRadPerS, endRateRadPerS = rateRadPerS },
      targetRad,
      _kept,
      _timeS,
      _gyroRad,
      encoderRad,
    ) {
      const sign = Math.sign(targetRad);
      const left = sign * (targetRad - encoderRad);
      if (left <= 0) return null;
      return sign * Math.min(rateRadPerS, Math.max(endRateRadPerS, SLOWING_PER_S * left));
    },
  },
  'stop-early': {
    expectedS: ({ rateRadPerS }, targetRad) => Math.abs(targetRad) / rateRadPerS,
    rate({ rateRadPerS, leadRad }, targetRad, _kept, _timeS, gyroRad) {
      const sign = Math.sign(targetRad);
      return sign * (targetRad - gyroRad) <= leadRad ? null : sign * rateRadPerS;
    },
  },
  'two-speed': {
    expectedS({ rateRadPerS, slowRateRadPerS, slowFromRad }, targetRad) {
      const slow = Math.min(slowFromRad, Math.abs(targetRad));
      return (Math.abs(targetRad) - slow) / rateRadPerS + slow / slowRateRadPerS;
    },
    rate(
      { rateRadPerS, slowRateRadPerS, slowFromRad, leadRad },
      targetRad,
      _kept,
      _timeS,
      gyroRad,
    ) {
      const sign = Math.sign(targetRad);
      const left = sign * (targetRad - gyroRad);
      if (left <= leadRad) return null;
      return sign * (left > slowFromRad ? rateRadPerS : slowRateRadPerS);
    },
  },
  proportional,
};

/** How a strategy turns. */
export const wayOf = ({ school }: TurnStrategy): TurnWay<TurnStrategy> =>
  WAYS[school] as TurnWay<TurnStrategy>;
