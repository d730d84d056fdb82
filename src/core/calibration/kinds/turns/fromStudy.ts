import { withoutRounding } from '../../../stats/roundedFit';
import { meanHalfWidth, stepOf, type TurnErrorModel } from '../../../turns/errorModel';
import type { TurnModel } from '../../../turns/turnModel';
import type { TurnsCalibration } from '../../../calibrationValues/turns';

/** The normal distribution's 97.5 % quantile. */
const Z = 1.96;

/** The standard error of the mean turn at the middle of what was tried; left out where too few tell it. */
function meanError(model: TurnErrorModel): { meanSeRad?: number } {
  const half = meanHalfWidth(model, (model.fromRad + model.toRad) / 2);
  return Number.isFinite(half) ? { meanSeRad: half / Z } : {};
}

/** What a study of turns leaves to be computed with. */
export const calibrationFromTurns = (model: TurnModel): TurnsCalibration => ({
  kind: 'turns',
  groups: model.groups.map(({ direction, rateRadPerS, rates, kind, model: fitted }) => ({
    direction,
    rateRadPerS,
    rates,
    kind,
    constantRad: fitted.constantRad,
    scaleError: fitted.scaleError,
    residualSdRad: Number.isNaN(fitted.residualSdRad)
      ? null
      : withoutRounding(fitted.residualSdRad, stepOf(fitted.points)),
    ...meanError(fitted),
    n: fitted.n,
  })),
  lagS: model.lagS,
  brakingRadPerS2: model.brakingRadPerS2,
  gyroScale: model.gyroScale && {
    scaleError: model.gyroScale.scaleError,
    se: (model.gyroScale.high95 - model.gyroScale.low95) / (2 * Z),
    by: model.gyroScale.by,
    upToRateRadPerS: model.gyroScale.upToRateRadPerS,
  },
});
