import { z } from 'zod';
import { colourClasses } from '../colourClasses/colourClasses';
import { readingOf, scaleOf, type RawColour } from '../colourClasses/scale';
import { lineSpeed } from '../light/lineSpeed';
import { lineThreshold } from '../light/lineThreshold';
import { presence, presenceFromPasses } from '../presence/presence';
import { procedure, type Procedure } from '../procedure/procedure';

const MAX_SAMPLES = 10_000;
const MAX_COLOUR_SAMPLES = 2000;
const reading = z.number().min(-1e9).max(1e9);
const readings = z.array(reading).min(1).max(MAX_SAMPLES);
const places = z.array(z.union([z.string().max(40), z.number()])).max(MAX_SAMPLES);

const thresholdInput = z
  .strictObject({
    line: readings,
    floor: readings,
    places: z
      .strictObject({ line: places, floor: places })
      .optional()
      .describe('at which place each reading was taken, in the order of the readings'),
  })
  .superRefine(({ places: at, ...samples }, context) => {
    for (const of of ['line', 'floor'] as const) {
      if (at === undefined || at[of].length === samples[of].length) continue;
      const message = `expected a place for each of ${samples[of].length} readings`;
      context.addIssue({ code: 'custom', path: ['places', of], message });
    }
  });

const shortM = z.number().positive().max(1, 'are these centimetres? metres are expected');
const periodS = z.number().min(1e-4).max(10, 'are these milliseconds? seconds are expected');

const speedInput = z.strictObject({
  lineWidthM: shortM,
  loopPeriodS: periodS.describe('the longest round of the loop'),
  sensorPeriodS: periodS.describe('between two readings of the sensor'),
  spotM: z.number().min(0).max(1).describe('diameter of what the sensor sees'),
  readings: z.number().int().min(1).max(1000).default(2),
  share: z
    .number()
    .positive()
    .max(1)
    .default(1)
    .describe('of the spot, that has to lie on the line until a reading counts'),
});

const shownNumber = z.number().min(0).max(1e6);
const sampleOf = <S extends z.ZodRawShape>(shape: S) =>
  z.strictObject({
    name: z.string().min(1).max(40),
    ...shape,
    distanceM: z.number().min(0).max(5).optional(),
    light: z.string().max(40).optional(),
    unit: z.string().max(40).optional(),
  });
const rgbSample = sampleOf({
  r: shownNumber,
  g: shownNumber,
  b: shownNumber,
  clear: shownNumber.optional(),
});
const hsvSample = sampleOf({ h: z.number().min(-1e6).max(1e6), s: shownNumber, v: shownNumber });
const hueSample = sampleOf({ h: z.number().min(-1e6).max(1e6) });
const classSample = sampleOf({ class: z.string().max(40) });
const colourSample = z.union([rgbSample, hsvSample, hueSample, classSample]);
type ColourInput = z.output<typeof colourSample>;

/** Which numbers a sample has. */
const formOf = (sample: ColourInput): string =>
  ['r', 'clear', 'h', 's', 'class'].filter((key) => key in sample).join();

const mostCounts = z.number().positive().max(1e6);
const colourInput = z
  .strictObject({
    samples: z.array(colourSample).min(2).max(MAX_COLOUR_SAMPLES),
    scale: z
      .union([mostCounts, z.strictObject({ h: mostCounts, s: mostCounts, v: mostCounts })])
      .optional()
      .describe('the largest count; or the largest hue, saturation and value'),
  })
  .superRefine(({ samples }, context) => {
    const [first] = samples;
    const odd = samples.findIndex((one) => first !== undefined && formOf(one) !== formOf(first));
    if (odd < 0) return;
    const message = 'expected the same numbers as in the first sample';
    context.addIssue({ code: 'custom', path: ['samples', odd], message });
  });

const COLOURS_NEED = 'Two readings each of two colours are needed.';

function colours({ samples, scale }: z.output<typeof colourInput>) {
  const raws: RawColour[] = samples;
  const counted = typeof scale === 'number' ? { counts: scale } : scale;
  const whole = { ...scaleOf(raws), ...counted };
  const found = colourClasses(
    samples.map((sample, i) => ({
      name: sample.name,
      reading: readingOf(raws[i] ?? sample, whole),
      distanceM: sample.distanceM ?? null,
      light: sample.light ?? null,
      unit: sample.unit ?? null,
    })),
    whole,
  );
  return found ?? { sentence: COLOURS_NEED };
}

const count = z.number().int().min(0).max(1e6);
const noEcho = reading.nullable();
const presenceInput = z.union([
  z.strictObject({
    there: z.array(noEcho).min(1).max(MAX_SAMPLES).describe('null: no echo came back'),
    absent: z.array(noEcho).min(1).max(MAX_SAMPLES),
  }),
  z
    .strictObject({ passes: count, caught: count, falseAlarms: count, absentPasses: count })
    .refine(({ passes, caught }) => caught <= passes, 'expected no more caught than passes')
    .refine(
      ({ absentPasses, falseAlarms }) => falseAlarms <= absentPasses,
      'expected no more false alarms than passes of nothing',
    ),
]);

const NOTHING_SEEN = 'Nothing that was there gave a reading: this sensor does not notice it.';

function presenceOf(input: z.output<typeof presenceInput>) {
  if ('passes' in input) return presenceFromPasses(input);
  if (input.there.every((one) => one === null)) return { sentence: NOTHING_SEEN };
  return presence(input.there, input.absent);
}

/** Procedures about light, colour, and whether something is there. */
export const lightProcedures: readonly Procedure[] = [
  procedure(
    'light-threshold',
    'the reading that parts a line from the floor, with hysteresis, and how often it errs',
    thresholdInput,
    ({ line, floor, places: at }) =>
      lineThreshold({ values: line, places: at?.line }, { values: floor, places: at?.floor }),
  ),
  procedure(
    'line-speed',
    'how fast a line may be crossed so that every pass gives enough different readings, and how far it drives on',
    speedInput,
    lineSpeed,
  ),
  procedure(
    'color-classes',
    'which colours are told apart, in which way, and by which inequalities',
    colourInput,
    colours,
  ),
  procedure(
    'presence',
    'whether something is there: a threshold with misses and false alarms, from readings or from counted passes',
    presenceInput,
    presenceOf,
  ),
];
