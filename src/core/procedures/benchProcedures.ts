import { z } from 'zod';
import { correctByAnchors, LEAST_APART_S, standTooClose } from '../gyro/anchors';
import { quantumOf } from '../gyro/quantum';
import type { StillLog } from '../gyro/still/stillCheck';
import { judgeLog } from '../gyro/judgeLog';
import { stillSettingsSchema } from '../gyro/still/stillSettings';
import { STILL_SETTINGS } from '../gyro/still/stillDefaults';
import { limits } from '../procedure/limits';
import { deviceSlip } from '../channels/deviceSlip';
import { procedure, type Procedure } from '../procedure/procedure';
import { oneWaySentences, oneWaySquare } from '../square/oneWay';
import { encoderSquare, gyroSquare } from '../square/squareFit';
import { CORNERS } from '../square/squarePath';
import { turnModel } from '../turns/turnModel';

const time = z.number().min(-1e9).max(1e9);
const angle = z.number().min(-1e6).max(1e6);
const MAX_SAMPLES = 1_000_000;

const headingSample = z.strictObject({ tS: time, headingRad: angle });

const stillSample = z
  .strictObject({ tS: time, headingRad: angle.optional(), rateRadPerS: angle.optional() })
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

/** How long the sensor had been on when a log began. */
const sincePowerUpS = z.number().min(0).max(1e6);

/** What a later check needs of an answer of this procedure; the rest of it may stand there as well. */
const earlierCheckSchema = z.strictObject({
  kind: z.enum(['heading', 'rate']),
  quantum: z.number().min(0).max(1),
  ownWalk: z
    .strictObject({
      radPerSqrtS: z.number().min(0).max(1),
      degreesOfFreedom: z.number().min(1).max(1e6),
    })
    .optional(),
  wanderRadPerS: z.number().min(0).max(1),
  sincePowerUpS: sincePowerUpS.optional(),
  cleanS: z.number().min(0).max(1e6).optional(),
  driftRadPerS: z.number().min(-100).max(100).optional(),
  low95: z.number().min(-1e6).max(1e6).optional(),
  high95: z.number().min(-1e6).max(1e6).optional(),
  warmUp: z.strictObject({ changing: z.boolean(), hinted: z.boolean() }).nullish(),
});

export const stillInput = z
  .strictObject({
    samples: stillSamples,
    runDurationS: limits.runDurationS,
    toleranceRad: limits.toleranceRad,
    settings: stillSettingsSchema.default(STILL_SETTINGS),
    earlier: z
      .array(earlierCheckSchema)
      .max(50)
      .default([])
      .describe('what still-check answered for this sensor before'),
    sincePowerUpS: sincePowerUpS
      .nullable()
      .default(null)
      .describe('how long the sensor had been on when the log began; null: not known'),
  })
  .superRefine(({ samples }, context) => {
    const log = stillLog(samples);
    const heading = log.kind === 'heading' ? log.headingRad : undefined;
    const slip = deviceSlip(log.tS, heading, heading === undefined ? 0 : quantumOf(heading));
    if (slip !== null) context.addIssue({ code: 'custom', path: ['samples'], message: slip });
  });

const inOrder = <T extends { tS: number }>(samples: readonly T[]): T[] =>
  samples.toSorted((a, b) => a.tS - b.tS);

export function stillLog(samples: z.output<typeof stillSamples>): StillLog {
  const sorted = inOrder(samples);
  const tS = Float64Array.from(sorted, (sample) => sample.tS);
  return sorted[0]?.headingRad !== undefined
    ? { kind: 'heading', tS, headingRad: Float64Array.from(sorted, (s) => s.headingRad ?? 0) }
    : { kind: 'rate', tS, rateRadPerS: Float64Array.from(sorted, (s) => s.rateRadPerS ?? 0) };
}

const aTurn = limits.turnRad.refine((value) => value !== 0, 'expected a turn, not 0');

export const turnInput = z.strictObject({
  trials: z
    .array(
      z.strictObject({
        targetRad: aTurn,
        actualRad: limits.turnRad,
        rateRadPerS: limits.turningRateRadPerS,
        kind: z.enum(['spin', 'pivot']).default('spin'),
        readingSdRad: z.number().positive().max(1).optional(),
        readingRad: limits.turnRad
          .nullable()
          .optional()
          .describe('what the heading sensor showed of that turn when it stood'),
        durationS: limits.turnDurationS.optional(),
      }),
    )
    .min(1)
    .max(10_000),
  driftRadPerS: limits.driftRadPerS.default(0),
  wantedRad: z.array(aTurn).max(1000),
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

const lap = z.strictObject({
  xM: limits.lapM,
  yM: limits.lapM,
  headingRad: limits.lapHeadingRad,
});

const stillDrift = z
  .strictObject({
    driftRadPerS: z.number().min(-1).max(1),
    low95: z.number().min(-1).max(1),
    high95: z.number().min(-1).max(1),
    lapS: z.number().min(1).max(600),
  })
  .refine(({ low95, high95 }) => low95 <= high95, 'expected low95 up to high95');

export const squareInput = z
  .strictObject({
    sideM: limits.sideM,
    trackM: limits.trackM,
    wheelDiameterM: limits.wheelDiameterM,
    driven: z.enum(['encoders', 'gyro']),
    corners: z.enum(CORNERS).optional().describe('default: spin; pivot: the inner wheel stands'),
    cw: z.array(lap).max(1000).default([]),
    ccw: z.array(lap).max(1000).default([]),
    readToM: limits.readToM,
    stillDrift: stillDrift
      .optional()
      .describe('what parts turns and drift where all laps go one way round'),
  })
  .refine(({ cw, ccw }) => cw.length + ccw.length > 0, 'expected a lap at least');

/** Laps both ways, or what those of one way tell. */
function squares({ driven, stillDrift: drift, ...laps }: z.output<typeof squareInput>) {
  const { cw, ccw } = laps;
  if (cw.length > 0 && ccw.length > 0) {
    return driven === 'encoders' ? encoderSquare(laps) : gyroSquare(laps);
  }
  const one =
    cw.length > 0
      ? ({ direction: 'cw', laps: cw } as const)
      : ({ direction: 'ccw', laps: ccw } as const);
  const found = oneWaySquare({ ...one, driven }, drift ?? null);
  const { found: said, means, next } = oneWaySentences({ ...one, driven }, found);
  return { ...found, sentence: `${said} ${means} ${next}` };
}

/** An anchor so far from all readings is in another unit: two full turns. */
const FAR_RAD = 4 * Math.PI;
const lower = (a: number, b: number) => Math.min(a, b);
const higher = (a: number, b: number) => Math.max(a, b);

const anchorsInput = z
  .strictObject({
    samples: z.array(headingSample).min(2).max(MAX_SAMPLES),
    anchors: z
      .array(
        z.strictObject({
          tS: time,
          headingRad: angle,
          sdRad: z.number().nonnegative().max(3.2).optional(),
        }),
      )
      .min(1)
      .max(10_000),
  })
  .refine(({ anchors }) => !standTooClose(anchors), {
    message: `expected anchors at least ${LEAST_APART_S} s apart: closer ones say nothing of a drift between them`,
    path: ['anchors'],
  })
  .superRefine(({ samples, anchors }, context) => {
    const sorted = inOrder(samples);
    const column = (of: (sample: (typeof sorted)[number]) => number) =>
      Float64Array.from(sorted, of);
    const headingRad = column((sample) => sample.headingRad);
    const slip = deviceSlip(
      column(({ tS }) => tS),
      headingRad,
    );
    if (slip !== null) context.addIssue({ code: 'custom', path: ['samples'], message: slip });
    const [low, high] = [headingRad.reduce(lower, Infinity), headingRad.reduce(higher, -Infinity)];
    anchors.forEach((anchor, i) => {
      const far = anchor.headingRad < low - FAR_RAD || anchor.headingRad > high + FAR_RAD;
      if (!far || Math.abs(anchor.headingRad) <= FAR_RAD) return;
      context.addIssue({
        code: 'custom',
        path: ['anchors', i, 'headingRad'],
        message:
          'is more than two turns from anything that was read: are these degrees? radians are expected',
      });
    });
  });

/** The procedures of the Bench: what each takes, and what it is called. */
export const benchProcedures: readonly Procedure[] = [
  procedure(
    'still-check',
    'gyro drift of a robot at rest, touched stretches left out, and what it does to a run',
    stillInput,
    ({ samples, runDurationS, toleranceRad, settings, earlier, sincePowerUpS: onS }) => {
      const log = stillLog(samples);
      return (log.tS.at(-1) ?? 0) - (log.tS[0] ?? 0) < LEAST_APART_S
        ? { sentence: 'Readings over at least a second are needed to tell a drift.' }
        : judgeLog(log, runDurationS, toleranceRad, settings, null, {
            earlier,
            sincePowerUpS: onS,
          });
    },
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
    squares,
  ),
  procedure(
    'drift-anchors',
    'heading of a recorded run, corrected by moments at which it is known',
    anchorsInput,
    ({ samples, anchors }) => correctByAnchors(inOrder(samples), inOrder(anchors)),
  ),
];
