import { proportional } from './proportional';
import type { TurnSchool } from './schema';
import type { TurnWay } from './way';

type Of<S extends TurnSchool['school']> = Extract<TurnSchool, { school: S }>;

/** A turn that slows down goes at this share of the angle left a second. */
const SLOWING_PER_S = 2;

function encoder({ rateRadPerS, endRateRadPerS }: Of<'encoder'>, targetRad: number): TurnWay {
  const sign = Math.sign(targetRad);
  const endRate = endRateRadPerS ?? rateRadPerS;
  return {
    expectedS: Math.abs(targetRad) / rateRadPerS + Math.log(rateRadPerS / endRate) / SLOWING_PER_S,
    rate: (_timeS, _gyroRad, encoderRad) => {
      const left = sign * (targetRad - encoderRad);
      if (left <= 0) return null;
      return sign * Math.min(rateRadPerS, Math.max(endRate, SLOWING_PER_S * left));
    },
  };
}

function stopEarly({ rateRadPerS, leadRad }: Of<'stop-early'>, targetRad: number): TurnWay {
  const sign = Math.sign(targetRad);
  return {
    expectedS: Math.abs(targetRad) / rateRadPerS,
    rate: (_timeS, gyroRad) =>
      sign * (targetRad - gyroRad) <= leadRad ? null : sign * rateRadPerS,
  };
}

function twoSpeed(school: Of<'two-speed'>, targetRad: number): TurnWay {
  const { rateRadPerS, slowRateRadPerS, slowFromRad, leadRad } = school;
  const sign = Math.sign(targetRad);
  const slow = Math.min(slowFromRad, Math.abs(targetRad));
  return {
    expectedS: (Math.abs(targetRad) - slow) / rateRadPerS + slow / slowRateRadPerS,
    rate: (_timeS, gyroRad) => {
      const left = sign * (targetRad - gyroRad);
      if (left <= leadRad) return null;
      return sign * (left > slowFromRad ? rateRadPerS : slowRateRadPerS);
    },
  };
}

/** The way of a school, for one turn. */
export function turnWay(school: TurnSchool, targetRad: number): TurnWay {
  switch (school.school) {
    case 'encoder':
      return encoder(school, targetRad);
    case 'stop-early':
      return stopEarly(school, targetRad);
    case 'two-speed':
      return twoSpeed(school, targetRad);
    case 'proportional':
      return proportional(school, targetRad);
  }
}
