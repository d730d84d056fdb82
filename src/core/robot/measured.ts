import { z } from 'zod';
import { COLOUR_NUMBERS } from '../colour/inequalities';
import { TUNED_IDS } from './tunedIds';

const positive = z.number().positive();
const notNegative = z.number().nonnegative();

/** How a robot squares up on a wall, by presses that were measured. */
const squaringSchema = z.strictObject({
  /** Scatter of the heading afterwards, however long it pressed. */
  headingSdRad: notNegative.max(1),
  /** Of a heading error exp(−this · the way that its wheels would have driven) is left; null: all is taken away. */
  straightensPerM: positive.max(1e4).nullable(),
  /** What was found to press with, and for how long. */
  speedMPerS: positive.max(5),
  pressS: positive.max(10),
});

/** How it stops when its distance sensor reads a threshold: speed · lag + speed² / (2 · braking). */
const stopSchema = z.strictObject({
  lagS: notNegative.max(5),
  brakingMPerS2: positive.max(1000).nullable(),
  residualSdM: notNegative.max(1),
});

/** How single drives by the encoders scatter. */
const straightSchema = z.strictObject({ scatterM: notNegative.max(1) });

/** What the first drive after one the other way lacks, and how a trailing caster kicks it; null: nobody tried. */
const reversalSchema = z.strictObject({
  playM: z.number().min(-1).max(1),
  kickSdRad: notNegative.max(3).nullable(),
});

/** How a share of full power drives: gain · volts · (share − dead band), as drives were timed. */
const powerSchema = z.strictObject({
  gainMPerSPerV: positive.max(10),
  deadBand: notNegative.max(1),
  /** Of the timed drives: what programs are told was computed for it. */
  batteryV: positive.max(60),
  /** Of the battery that is in it now, in a simulation. */
  nowV: positive.max(60),
});

/** A distance sensor that shows volts: its law (`sensing/voltLaw.ts`), and where it was measured. */
const voltsSchema = z.strictObject({
  law: z.union([
    z.strictObject({ atZeroV: z.number(), perMV: z.number() }),
    z.strictObject({ baseV: z.number(), scaleVM: z.number(), shiftM: z.number() }),
  ]),
  fromM: z.number(),
  toM: z.number(),
});

/** Where an arm stands at the positions that were named, and how single moves scatter. */
const armSchema = z.strictObject({
  /** Null: that of the first of its motors. */
  unitId: z.string().min(1).max(40).nullable(),
  positions: z.array(
    z.strictObject({ name: z.string().max(40), angleRad: z.number(), sdRad: notNegative }),
  ),
});

const bandsSchema = z.strictObject({ red: z.number(), green: z.number(), blue: z.number() });

/** By which inequalities a colour sensor's readings were told apart. */
const coloursSchema = z.strictObject({
  /** Null: those of any of its colour sensors. */
  unitId: z.string().min(1).max(40).nullable(),
  /** In shares of its scale; null: the inequalities are told in those, and not in shares of what white reads. */
  references: z.strictObject({ white: bandsSchema, black: bandsSchema }).nullable(),
  classes: z.array(
    z.strictObject({
      name: z.string().max(40),
      boxes: z.array(
        z.array(
          z.strictObject({
            by: z.enum(COLOUR_NUMBERS),
            low: z.number().nullable(),
            high: z.number().nullable(),
          }),
        ),
      ),
    }),
  ),
});

/** How far off the plan it stands at the start, in the frame of the start, as it was placed. */
const placedSchema = z.strictObject({ xM: z.number(), yM: z.number(), headingRad: z.number() });

/**
 * What only calibrations say of a robot: a record by itself has none of it, and each part is null until it was
 * measured and applied.
 */
export const measuredSchema = z.strictObject({
  squaring: squaringSchema.nullable().default(null),
  stop: stopSchema.nullable().default(null),
  straight: straightSchema.nullable().default(null),
  reversal: reversalSchema.nullable().default(null),
  power: powerSchema.nullable().default(null),
  volts: voltsSchema.nullable().default(null),
  placed: placedSchema.nullable().default(null),
  arms: z.array(armSchema).max(20).default([]),
  colours: z.array(coloursSchema).max(20).default([]),
  /** The gains that were tuned, by their controllers, each in SI. */
  gains: z.partialRecord(z.enum(TUNED_IDS), z.number().min(-1e4).max(1e4)).default({}),
  /** Between which speeds they were found good: m/s, of turns rad/s. */
  tunedAt: z
    .partialRecord(z.enum(TUNED_IDS), z.strictObject({ slowest: positive, fastest: positive }))
    .default({}),
});

export type MeasuredStop = z.output<typeof stopSchema>;
