import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { colourClasses } from '../../src/core/colourClasses/colourClasses';
import { edgesRead, inARow } from '../../src/core/colourClasses/edges';
import { gaussianClasses, nearest } from '../../src/core/colourClasses/gaussian';
import { hsvOf } from '../../src/core/colour/hsv';
import type { ColourReading, ColourSample } from '../../src/core/colourClasses/reading';
import { representationsOf } from '../../src/core/colourClasses/representations';
import { readingOf, scaleOf, type RawColour } from '../../src/core/colourClasses/scale';
import { draws, least } from '../support/draws';
import { otherNoise, type OtherNoise } from '../support/otherNoise';

const MOST = 1023;
const SCALE = { counts: MOST, h: 360, s: 1, v: 1 };
const SURFACES = {
  red: [0.75, 0.15, 0.12],
  green: [0.15, 0.55, 0.25],
  blue: [0.12, 0.25, 0.6],
  yellow: [0.8, 0.65, 0.15],
  white: [0.85, 0.85, 0.85],
  black: [0.08, 0.08, 0.09],
} as const;
type Surface = keyof typeof SURFACES;
const ALL = Object.keys(SURFACES) as Surface[];
const BRIGHT: Surface[] = ['red', 'green', 'blue', 'yellow'];

interface Case {
  surfaces: Surface[];
  brightness: [number, number];
  noise: number;
  hueOnly?: true;
}

/** What the made-up sensor shows of a surface. */
function shown(noise: OtherNoise, surface: Surface, of: Case): ColourReading {
  const [dimmest, brightest] = of.brightness;
  const light = dimmest + (brightest - dimmest) * noise.uniform();
  const [r = 0, g = 0, b = 0] = SURFACES[surface].map((share) =>
    Math.min(MOST, Math.max(0, Math.round(MOST * (share * light + of.noise * noise.normal())))),
  );
  if (of.hueOnly !== true) return readingOf({ r, g, b }, SCALE);
  return { kind: 'hue', hueRad: hsvOf(r, g, b).hueRad };
}

const samplesOf = (noise: OtherNoise, of: Case, n: number): ColourSample[] =>
  of.surfaces.flatMap((name) =>
    Array.from({ length: n }, () => ({
      name,
      reading: shown(noise, name, of),
      distanceM: null,
      light: null,
      unit: null,
    })),
  );

/** How often classes made of such samples err, in each way, as many fresh readings show. */
function trueErrors(samples: ColourSample[], of: Case, fresh: ColourSample[]) {
  const [first] = samples;
  if (first === undefined) return [];
  return representationsOf(first.reading).map((way) => {
    const classes = gaussianClasses(
      of.surfaces.map((name) =>
        samples.filter((one) => one.name === name).map(({ reading }) => way.features(reading)),
      ),
      way.isAngle,
    );
    const wrong = fresh.filter(({ name, reading }) => {
      const { at } = nearest(classes, way.features(reading), way.isAngle);
      return of.surfaces[at] !== name;
    });
    return { id: way.id, error: wrong.length / fresh.length };
  });
}

describe('which colours a sensor tells apart', () => {
  const N = draws(40);

  it.each<Case>([
    { surfaces: ALL, brightness: [1, 1], noise: 0.03 },
    { surfaces: ALL, brightness: [0.3, 1], noise: 0.04 },
    { surfaces: BRIGHT, brightness: [0.3, 1], noise: 0.04 },
    { surfaces: BRIGHT, brightness: [0.3, 1], noise: 0.06, hueOnly: true },
  ])('%o: the error rate holds the truth, and the way is the best, or as good', (of) => {
    const noise = otherNoise(of.surfaces.length * 10 + of.noise * 100);
    const each = 15;
    let [held, good] = [0, 0];
    for (let i = 0; i < N; i += 1) {
      const samples = samplesOf(noise, of, each);
      const found = colourClasses(samples, SCALE);
      if (found === null) throw new Error('colours were not compared');
      const errors = trueErrors(samples, of, samplesOf(noise, of, 100)).filter(({ id }) =>
        found.refused.every((one) => one.id !== id),
      );
      const truth = errors.find(({ id }) => id === found.representation)?.error ?? 1;
      const best = Math.min(...errors.map(({ error }) => error));
      const { low95, high95 } = found.errorRate;
      if (truth >= low95 && truth <= high95) held += 1;
      // What so many samples cannot tell apart, and what so many fresh readings cannot.
      const n = of.surfaces.length * each;
      if (truth - best <= 2 * Math.sqrt(Math.max(best, 1 / n) / n)) good += 1;
    }
    expect(held / N).toBeGreaterThanOrEqual(least(0.93, N));
    expect(good / N).toBeGreaterThanOrEqual(least(0.9, N));
  });

  it('a colour four deviations off all of them is none, in 95 of 100', () => {
    const noise = otherNoise(4);
    const sd = 0.03;
    let [rejected, own, n] = [0, 0, 0];
    for (let i = 0; i < N; i += 1) {
      const centres = BRIGHT.map((name) => SURFACES[name]);
      const near = (at: readonly number[]) => at.map((one) => one + sd * noise.normal());
      const classes = gaussianClasses(
        centres.map((at) => Array.from({ length: 20 }, () => near(at))),
        false,
      );
      while (n < (i + 1) * 100) {
        const other = [noise.uniform(), noise.uniform(), noise.uniform()];
        const off = (at: readonly number[]) =>
          Math.hypot(...at.map((one, j) => one - (other[j] ?? 0))) / sd;
        if (centres.some((at) => off(at) < 4)) continue;
        n += 1;
        if (nearest(classes, other, false).isNone) rejected += 1;
        if (!nearest(classes, near(centres[n % 4] ?? []), false).isNone) own += 1;
      }
    }
    expect(rejected / n).toBeGreaterThan(0.95);
    expect(own / n).toBeGreaterThan(0.95);
  });

  it('rules are inequalities that hold for the samples: a hue over the seam, or a value', () => {
    const of: Case = {
      surfaces: ['red', 'green', 'blue', 'black', 'white'],
      brightness: [1, 1],
      noise: 0.01,
    };
    const found = colourClasses(samplesOf(otherNoise(9), of, 12), SCALE);
    expect(found?.againstRules).toBe(0);
    const rules = Object.fromEntries((found?.rules ?? []).map((one) => [one.name, one.sentence]));
    expect(rules.black).toMatch(/^black: value \d+ or less\.$/);
    expect(rules.red).toMatch(/^red: hue between 3\d\d and \d+/);
    const hues = samplesOf(otherNoise(9), { ...of, surfaces: BRIGHT, hueOnly: true }, 12);
    const byHue = colourClasses(hues, SCALE)?.rules[0]?.sentence ?? '';
    const [, from, to] = /^red: hue between ([\d.]+) and ([\d.]+)\.$/.exec(byHue) ?? [];
    expect(Number(from)).toBeGreaterThan(300);
    expect(Number(to)).toBeLessThan(60);
  });

  it('an edge between white and black reads as grey on the way, and what no third lies between does not', () => {
    const grey = (name: string, level: number): ColourSample[] =>
      Array.from({ length: 6 }, (_, i) => {
        const share = level + 0.01 * (i % 3);
        const reading = {
          kind: 'rgb' as const,
          red: share,
          green: share,
          blue: share,
          clear: null,
        };
        return { name, reading, distanceM: null, light: null, unit: null };
      });
    const names = ['white', 'black', 'grey'];
    const samples = [...grey('white', 0.85), ...grey('black', 0.05), ...grey('grey', 0.45)];
    const edges = edgesRead(samples, names, 'channel-r');
    expect(edges).toHaveLength(1);
    expect(edges[0]).toMatchObject({ from: 'white', to: 'black', third: 'grey' });
    // Five deviations either side of grey, of the way from black to white.
    expect(edges[0]?.share).toBeGreaterThan(0.05);
    expect(edges[0]?.share).toBeLessThan(0.3);
    expect(edgesRead(samples.slice(0, 12), names.slice(0, 2), 'channel-r')).toEqual([]);
    // Over a quarter of 12 mm at 20 cm/s, 15 ms: two readings 10 ms apart may say so.
    const at = { spotM: 0.012, speedMPerS: 0.2, loopPeriodS: 0.01, sensorPeriodS: 0.01 };
    expect(inARow(0.25, at)).toBe(2);
    expect(inARow(0.25, { ...at, speedMPerS: 0.05 })).toBe(7);
  });

  it('a colour that is grey has no hue to go by, and that is said', () => {
    const of: Case = { surfaces: ['red', 'white'], brightness: [1, 1], noise: 0.01 };
    const found = colourClasses(samplesOf(otherNoise(3), of, 8), SCALE);
    expect(found?.refused).toEqual([
      { id: 'hue', why: expect.stringContaining('white') as string },
    ]);
    expect(found?.representation).not.toBe('hue');
  });

  it('of a sensor that names colours itself it counts what it says', () => {
    const said = (name: string, words: string[]): ColourSample[] =>
      words.map((one) => ({
        name,
        reading: { kind: 'class', shown: one },
        distanceM: one === 'red' ? 0.03 : 0.01,
        light: null,
        unit: null,
      }));
    const found = colourClasses(
      [
        ...said('white', ['white', 'white', 'white', 'red']),
        ...said('red', ['red', 'red', 'red', 'brown']),
      ],
      SCALE,
    );
    expect(found?.representation).toBe('class');
    expect(found?.confusion.counts[0]).toEqual([3, 1]);
    expect(found?.errorRate.value).toBeGreaterThan(0.1);
    expect(found?.rules[0]?.sentence).toBe('white: it says “white”.');
    expect(found?.under.find(({ distanceM }) => distanceM === 0.03)?.n).toBe(4);
  });

  it('readings at the end of the scale are counted: brighter ones would read the same', () => {
    const raws: RawColour[] = [
      { r: 255, g: 250, b: 240 },
      { r: 255, g: 251, b: 243 },
      { r: 90, g: 20, b: 20 },
      { r: 92, g: 21, b: 18 },
    ];
    const scale = scaleOf(raws);
    expect(scale.counts).toBe(255);
    const found = colourClasses(
      raws.map((raw, i) => ({
        name: i < 2 ? 'white' : 'red',
        reading: readingOf(raw, scale),
        distanceM: null,
        light: null,
        unit: null,
      })),
      scale,
    );
    expect(found?.clipped).toEqual([{ name: 'white', n: 2 }]);
  });

  it('hue, saturation and value are as published, and hue does not depend on brightness', () => {
    // Corners of the hexcone: red 0°, yellow 60°, green 120°, magenta 300°.
    expect(hsvOf(1, 1, 0)).toEqual({ hueRad: Math.PI / 3, saturation: 1, value: 1 });
    expect(hsvOf(1, 0, 1).hueRad).toBeCloseTo((5 * Math.PI) / 3, 12);
    const share = fc.integer({ min: 1, max: 1000 });
    fc.assert(
      fc.property(share, share, share, share, (r, g, b, light) => {
        const bright = hsvOf(r, g, b);
        const dim = hsvOf(r * light, g * light, b * light);
        expect(Math.cos(dim.hueRad - bright.hueRad)).toBeCloseTo(1, 6);
        expect(dim.saturation).toBeCloseTo(bright.saturation, 6);
      }),
    );
  });

  it('whatever is sampled, every reading is judged once, and every class has a sentence', () => {
    const count = fc.integer({ min: 0, max: 255 });
    const samples = fc.array(
      fc.record({ name: fc.constantFrom('a', 'b', 'c'), r: count, g: count, b: count }),
      { minLength: 6, maxLength: 20 },
    );
    fc.assert(
      fc.property(samples, (raws) => {
        const found = colourClasses(
          raws.map(({ name, ...raw }) => ({
            name,
            reading: readingOf(raw, { ...SCALE, counts: 255 }),
            distanceM: null,
            light: null,
            unit: null,
          })),
          SCALE,
        );
        if (found === null) return;
        expect(found.confusion.counts.flat().reduce((sum, one) => sum + one, 0)).toBe(raws.length);
        for (const { sentence, name } of found.rules) expect(sentence.startsWith(name)).toBe(true);
        expect(found.againstRules).toBeLessThanOrEqual(raws.length);
      }),
      { numRuns: 60 },
    );
  });
});
