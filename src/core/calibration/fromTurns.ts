import type { TurnModel } from '../turns/turnModel';
import type { TurnsCalibration } from './kinds/turns/schema';

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
    residualSdRad: Number.isNaN(fitted.residualSdRad) ? null : fitted.residualSdRad,
    n: fitted.n,
  })),
  lagS: model.lagS,
  brakingRadPerS2: model.brakingRadPerS2,
});
