import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rulesBy } from '../../src/core/colourClasses/colourClasses';
import { colourStudy } from '../../src/core/colourClasses/colourStudy';
import { conversionOf } from '../../src/core/colourClasses/conversion';
import { readAnew, takenFor } from '../../src/core/colourClasses/readAnew';
import { conversionSentence, readAnewSentences } from '../../src/core/colourClasses/readAnewWords';
import type { ColourSample } from '../../src/core/colourClasses/reading';
import type { ColourRule } from '../../src/core/colourClasses/rules';
import { otherNoise } from '../support/otherNoise';

const SCALE = { counts: 1000, h: 360, s: 1, v: 1 };
const RED = {
  name: 'red',
  words: 'red',
  period: null,
  of: (reading: ColourSample['reading']) => (reading.kind === 'rgb' ? 1000 * reading.red : 0),
};
const bounds = (low: number | null, high: number | null) => ({ column: RED, low, high, apart: 1 });
/** Tried in this order, "middle" needs one bound only: what is low was found before. */
const RULES: ColourRule[] = [
  { name: 'low', boxes: [[bounds(null, 100)]] },
  { name: 'middle', boxes: [[bounds(null, 500)]] },
  { name: 'high', boxes: [[bounds(500, null)]] },
];
const sample = (name: string, red: number, green = 0, blue = 0): ColourSample => ({
  name,
  reading: { kind: 'rgb', red, green, blue, clear: null },
  distanceM: null,
  light: null,
  unit: null,
});
const STEADY = [
  ...[0.05, 0.05].map((red) => sample('low', red)),
  ...[0.3, 0.3].map((red) => sample('middle', red)),
  ...[0.9, 0.9].map((red) => sample('high', red)),
];

describe('a program that reads its sensor anew for each question', () => {
  it('asks until a rule holds, each question its own reading', () => {
    const values = [0.9, 0.3, 0.9];
    const taken = takenFor(RULES, (question) => sample('', values[question] ?? 0).reading, SCALE);
    expect(taken).toEqual({ name: 'middle', asked: 2 });
    const none = takenFor([RULES[0] as ColourRule], () => ({ kind: 'class', shown: 'x' }), SCALE);
    expect(none.asked).toBe(1);
  });

  it('over steady colours it is as good, but finds a third where one begins meanwhile', () => {
    const found = readAnew(STEADY, RULES, SCALE);
    expect(found).toMatchObject({ questions: 3, onceWrong: 0, anewWrong: 0 });
    // From high to low after the first question: "low?" sees high, "500 or less?" sees low.
    expect(found?.worst).toMatchObject({ from: 'high', to: 'low', third: 'middle' });
    const [sentence, time] = found === null ? [] : readAnewSentences(found, 0.004, 0.2);
    expect(sentence).toContain('Over one colour that is as good.');
    expect(sentence).toContain('most often middle between high and low');
    expect(time).toContain('8 ms a round');
    expect(time).toContain('1.6 mm further');
  });

  it('where readings of one colour vary together, asking anew tears them apart', () => {
    const { uniform } = otherNoise(5);
    // Both as bright as each other whatever the light: red against yellow only by their ratio.
    const colours = { red: [0.8, 0.3], yellow: [0.8, 0.65], green: [0.3, 0.7] } as const;
    const samples = Object.entries(colours).flatMap(([name, [red, green]]) =>
      Array.from({ length: 30 }, () => {
        const light = 0.3 + 0.7 * uniform();
        return sample(name, red * light, green * light, 0.1 * light);
      }),
    );
    const rules = rulesBy(samples, 'raw', SCALE);
    const found = readAnew(samples, rules, SCALE);
    expect(found?.anewWrong).toBeGreaterThan((found?.onceWrong ?? 1) + 0.02);
    // By their proportions they vary with nothing, and reading anew costs nothing at rest.
    const steady = readAnew(samples, rulesBy(samples, 'normalised', SCALE), SCALE);
    expect(steady?.anewWrong).toBeCloseTo(steady?.onceWrong ?? 1, 9);
  });
});

describe('a conversion in the team’s own program', () => {
  const COLOURS = [
    ...[0.9, 0.92, 0.94, 0.91].map((red) => sample('white', red, red, red)),
    ...[0.7, 0.72, 0.71, 0.69].map((red) => sample('grey', red, red, red)),
    ...[0.1, 0.12, 0.11, 0.1].map((red) => sample('black', red, red, red)),
  ];

  it('that cuts counts off is named, with what reads alike then and a divisor that does not', () => {
    const found = conversionOf(COLOURS, SCALE, { divisor: 2, most: 255 });
    expect(found).toMatchObject({ clipped: 8, n: 12, names: ['white', 'grey'], divisor: 5 });
    expect(found?.errors?.converted).toBeGreaterThan(found?.errors?.counted ?? 1);
    const sentence = found === null ? '' : conversionSentence(found);
    expect(sentence).toMatch(/^It cuts off 8 of 12 readings, of white, grey:/);
    expect(sentence).toContain('Divide by 5 instead.');
  });

  it('by the advised divisor cuts off nothing, whatever the counts', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1, maxLength: 8 }),
        fc.constantFrom(100, 255, 1023),
        (reds, most) => {
          const samples = reds.map((red, i) => sample(`${i % 2}`, red));
          const advised = conversionOf(samples, SCALE, { divisor: 1, most })?.divisor ?? 0;
          const found = conversionOf(samples, SCALE, { divisor: advised, most });
          expect(found?.clipped).toBe(0);
          expect(found && conversionSentence(found)).toBe('It cuts nothing off these readings.');
        },
      ),
    );
    expect(
      conversionOf([{ ...sample('x', 0), reading: { kind: 'hue', hueRad: 1 } }], SCALE, {
        divisor: 1,
        most: 1,
      }),
    ).toBeNull();
  });
});

describe('several units in one table', () => {
  const read = (unit: string, name: string, [red, green, blue]: readonly number[]) => ({
    name,
    ...{ red: red ?? null, green: green ?? null, blue: blue ?? null, clear: null },
    ...{ hue: null, saturation: null, value: null, says: '', distanceM: null, light: '' },
    unit,
  });
  const COLOURS = { red: [180, 40, 30], yellow: [180, 150, 40], green: [40, 150, 60] } as const;
  const bench = (shift: number) => {
    const { normal } = otherNoise(9);
    return ['C1', 'C2', 'old one'].flatMap((unit) =>
      Object.entries(COLOURS).flatMap(([name, counts]) =>
        Array.from({ length: 8 }, () =>
          read(
            unit,
            name,
            counts.map((count, i) =>
              // An older generation sees more green: its red is the others' yellow.
              Math.round(
                count + 3 * normal() + (unit === 'old one' ? ([0, shift, shift / 11][i] ?? 0) : 0),
              ),
            ),
          ),
        ),
      ),
    );
  };
  const SAID = { shows: 'rgb', full: 400, fullHue: null, fullShare: null } as const;

  it('one that sees otherwise is named; alike ones are one table', () => {
    const study = colourStudy(bench(110), SAID);
    expect(study?.found.under.map(({ unit }) => unit)).toEqual(
      expect.arrayContaining(['C1', 'C2', 'old one']),
    );
    expect(study?.sentences.next).toMatch(/^old one is mistaken in \d+ of 24, the others less/);
    expect(colourStudy(bench(0), SAID)?.sentences.next).not.toContain('old one');
  });
});

describe('white and black references', () => {
  const BACK = {
    white: [0.9, 0.9, 0.9],
    'dark floor': [0.05, 0.05, 0.05],
    red: [0.8, 0.15, 0.1],
    yellow: [0.8, 0.6, 0.15],
    green: [0.2, 0.6, 0.25],
  } as const;
  /** Three lamps of different colours, each over a dark level of its own: what a sensor counts is back · lamp + dark. */
  const LAMPS = {
    day: { tint: [200, 210, 230], dark: 6 },
    bulb: { tint: [240, 160, 80], dark: 12 },
    hall: { tint: [120, 150, 110], dark: 20 },
  } as const;
  const readings = () => {
    const { normal } = otherNoise(12);
    return Object.entries(LAMPS).flatMap(([light, { tint, dark }]) =>
      Object.entries(BACK).flatMap(([name, back]) =>
        Array.from({ length: 8 }, () => {
          const [red = 0, green = 0, blue = 0] = back.map((share, k) =>
            Math.round(share * (tint[k] ?? 0) + dark + normal()),
          );
          return {
            ...{ name, light, red, green, blue, clear: null, hue: null, saturation: null },
            ...{ value: null, says: '', distanceM: null, unit: '' },
          };
        }),
      ),
    );
  };
  const SAID = { shows: 'rgb', full: 255, fullHue: null, fullShare: null } as const;

  it('make lamps that differ tell the same: what each colour gives back of the light', () => {
    const told = colourStudy(readings(), { ...SAID, white: 'white', black: 'dark floor' });
    for (const { name, reading } of told?.samples ?? []) {
      if (reading.kind !== 'rgb') continue;
      const back = BACK[name as keyof typeof BACK];
      // Of white, over the dark floor: (back − 0.05) / (0.9 − 0.05), whichever the lamp.
      expect(Math.abs(reading.red - (back[0] - 0.05) / 0.85)).toBeLessThan(0.07);
      expect(Math.abs(reading.green - (back[1] - 0.05) / 0.85)).toBeLessThan(0.07);
    }
    expect(told?.references?.white).toHaveLength(3);
    expect(told?.scale.counts).toBe(100);
    // White reads about 100 of 100, and that is no end of a scale.
    expect(told?.found.clipped).toEqual([]);
    const without = colourStudy(readings(), SAID);
    expect(without?.references).toBeNull();
    expect(told?.found.errorRate.value).toBeLessThanOrEqual(without?.found.errorRate.value ?? 0);
    expect(told?.found.againstRules).toBe(0);
  });

  it('a white that is no lighter than black, or was not read, is none', () => {
    const same = colourStudy(readings(), { ...SAID, white: 'dark floor', black: 'white' });
    expect(same?.references).toBeNull();
    expect(colourStudy(readings(), { ...SAID, white: 'paper', black: '' })?.references).toBeNull();
    const noBlack = colourStudy(readings(), { ...SAID, white: 'white', black: '' });
    expect(noBlack?.references?.black).toEqual([0, 0, 0]);
  });
});
