import { z } from 'zod';
import { limits } from '../procedure/limits';
import { procedure } from '../procedure/procedure';
import { straightModel, type StraightModel } from '../drive/straightModel';
import { valuesSchema } from '../description/schema';
import { STRAIGHT_TRIAL } from '../trials/straight';

const { keptBy: _keptBy, remark: _remark, ...drive } = STRAIGHT_TRIAL.fields;

export const straightInput = z.strictObject({
  trials: z.array(valuesSchema(drive)).max(10_000),
  readToM: limits.readToM,
});

const NOT_APART = 'the distances are too alike to tell it from the other';

function straightOutput({ scaleFactor, coastM, playM, sideways, ...found }: StraightModel) {
  const notes = [
    ...(found.areApart ? [] : [`coastM is taken as 0: ${NOT_APART}`]),
    ...(sideways === null ? ['no sideways offset was measured twice'] : []),
    ...(sideways !== null && !sideways.areApart ? [`trimRadPerM is taken as 0: ${NOT_APART}`] : []),
  ];
  return {
    n: found.n,
    scaleFactor: scaleFactor.value,
    scaleFactorLow95: scaleFactor.low95,
    scaleFactorHigh95: scaleFactor.high95,
    coastM: coastM.value,
    coastLow95M: coastM.low95,
    coastHigh95M: coastM.high95,
    residualSdM: found.residualSdM,
    ...(playM !== null && {
      playM: playM.value,
      playLow95M: playM.low95,
      playHigh95M: playM.high95,
    }),
    startHeadingErrorRad: sideways?.startHeadingErrorRad.value ?? null,
    startHeadingErrorLow95Rad: sideways?.startHeadingErrorRad.low95 ?? null,
    startHeadingErrorHigh95Rad: sideways?.startHeadingErrorRad.high95 ?? null,
    trimRadPerM: sideways?.trimRadPerM.value ?? null,
    trimLow95RadPerM: sideways?.trimRadPerM.low95 ?? null,
    trimHigh95RadPerM: sideways?.trimRadPerM.high95 ?? null,
    notes,
  };
}

export const straightProcedure = procedure(
  'straight-model',
  'wheel size, coast, start heading and pull from straight drives',
  straightInput,
  ({ trials, readToM }) => {
    const found = straightModel(trials, readToM);
    return found === null
      ? { sentence: 'Two straight drives at least are needed.' }
      : straightOutput(found);
  },
);
