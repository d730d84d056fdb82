import { z } from 'zod';
import { correctByAnchors } from './gyro/anchors';
import { stillCheck, type StillLog } from './gyro/stillCheck';
import { stillSettingsSchema } from './gyro/stillSettings';
import { STILL_SETTINGS } from './gyro/stillDefaults';
import { procedure, type Procedure } from './procedure';
import { encoderSquare, gyroSquare } from './square/squareFit';
import { turnModel } from './turns/turnModel';

const time = z.number().min(-1e9).max(1e9);
const angle = z.number().min(-1e6).max(1e6);
const MAX_SAMPLES = 1_000_000;

const headingSample = z.object({ tS: time, headingRad: angle });

const stillSample = z
  .object({ tS: time, headingRad: angle.optional(), rateRadPerS: angle.optional() })
  .refine(
    (sample) => (sample.headingRad === undefined) !== (sample.rateRadPerS === undefined),
    'expected headingRad or rateRadPerS',
  );

const stillSamples = z
  .array(stillSample)
  .min(2)
  .max(MAX_SAMPLES)
  .superRefine((samples, context) => {
    const hasHeading = samples[0]?.headingRad !== undefined;
    const odd = samples.findIndex((sample) => (sample.headingRad !== undefined) !== hasHeading);
    if (odd < 0) return;
    const expected = hasHeading ? 'headingRad' : 'rateRadPerS';
    context.addIssue({
      code: 'custom',
      path: [odd],
      message: `expected ${expected}, as in the first sample`,
    });
  });

const stillInput = z.object({
  samples: stillSamples,
  runDurationS: z.number().positive().max(3600),
  toleranceRad: z.number().positive().max(10),
  settings: stillSettingsSchema.default(STILL_SETTINGS),
});

const inOrder = <T extends { tS: number }>(samples: readonly T[]): T[] =>
  samples.toSorted((a, b) => a.tS - b.tS);

function stillLog(samples: z.output<typeof stillSamples>): StillLog {
  const sorted = inOrder(samples);
  const tS = Float64Array.from(sorted, (sample) => sample.tS);
  return sorted[0]?.headingRad !== undefined
    ? { kind: 'heading', tS, headingRad: Float64Array.from(sorted, (s) => s.headingRad ?? 0) }
    : { kind: 'rate', tS, rateRadPerS: Float64Array.from(sorted, (s) => s.rateRadPerS ?? 0) };
}

const turnInput = z.object({
  trials: z
    .array(
      z.object({
        targetRad: angle.refine((value) => value !== 0, 'expected a turn, not 0'),
        actualRad: angle,
        rateRadPerS: z.number().positive().max(100),
        kind: z.enum(['spin', 'pivot']).default('spin'),
        durationS: z.number().positive().max(600).optional(),
      }),
    )
    .min(1)
    .max(10_000),
  driftRadPerS: z.number().min(-10).max(10).default(0),
  wantedRad: z.array(angle.refine((value) => value !== 0, 'expected a turn, not 0')).max(1000),
});

function turns({ trials, driftRadPerS, wantedRad }: z.output<typeof turnInput>) {
  const { groups, ...rest } = turnModel(trials, driftRadPerS, wantedRad);
  return {
    ...rest,
    groups: groups.map(({ direction, rateRadPerS, kind, model }) => ({
      direction,
      rateRadPerS,
      kind,
      model: model.model,
      constantRad: model.constantRad,
      scaleError: model.scaleError,
      residualSdRad: Number.isNaN(model.residualSdRad) ? null : model.residualSdRad,
      n: model.n,
      oneTarget: model.oneTarget,
    })),
  };
}

const lap = z.object({
  xM: z.number().min(-100).max(100),
  yM: z.number().min(-100).max(100),
  headingRad: z.number().min(-100).max(100),
});

const squareInput = z.object({
  sideM: z.number().positive().max(100),
  trackM: z.number().positive().max(10),
  wheelDiameterM: z.number().positive().max(10),
  driven: z.enum(['encoders', 'gyro']),
  cw: z.array(lap).min(1).max(1000),
  ccw: z.array(lap).min(1).max(1000),
});

const anchorsInput = z
  .object({
    samples: z.array(headingSample).min(2).max(MAX_SAMPLES),
    anchors: z
      .array(z.object({ tS: time, headingRad: angle, sdRad: z.number().nonnegative().optional() }))
      .min(1)
      .max(10_000),
  })
  .refine(
    ({ anchors }) => new Set(anchors.map(({ tS }) => tS)).size === anchors.length,
    'expected anchors at different times',
  );

/** The procedures of the Bench: what each takes, and what it is called. */
export const benchProcedures: readonly Procedure[] = [
  procedure(
    'still-check',
    'gyro drift of a robot at rest, touched stretches left out, and what it does to a run',
    stillInput,
    ({ samples, runDurationS, toleranceRad, settings }) =>
      stillCheck(stillLog(samples), runDurationS, toleranceRad, settings),
  ),
  procedure(
    'turn-model',
    'how far turns go beyond what they are told, why, and what to command instead',
    turnInput,
    turns,
  ),
  procedure(
    'square-path',
    'track and wheels (or turn bias and drift) from laps of a square in both directions',
    squareInput,
    ({ driven, ...laps }) => (driven === 'encoders' ? encoderSquare(laps) : gyroSquare(laps)),
  ),
  procedure(
    'drift-anchors',
    'heading of a recorded run, corrected by moments at which it is known',
    anchorsInput,
    ({ samples, anchors }) => correctByAnchors(inOrder(samples), inOrder(anchors)),
  ),
];
