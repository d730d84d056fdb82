import { hsvOfReading, type ColourReading } from './reading';
import { hueInScale, type ColourScale } from './scale';

/** A number that a program can ask for, in its own scale. */
export interface Column {
  name: string;
  /** As a rule says it. */
  words: string;
  /** For a hue: after how much it begins again. */
  period: ((scale: ColourScale) => number) | null;
  of(reading: ColourReading, scale: ColourScale): number;
}

/** A way to look at readings, in which classes are told apart. */
export interface Representation {
  id: string;
  name: string;
  /** What the classes are compared by: shares of 1, or one angle. */
  features(reading: ColourReading): number[];
  isAngle: boolean;
  /** Whether it goes by the hue alone, which has to mean something then. */
  byHueAlone: boolean;
  columns: readonly Column[];
}

const CHANNELS = [
  { name: 'r', words: 'red', key: 'red' },
  { name: 'g', words: 'green', key: 'green' },
  { name: 'b', words: 'blue', key: 'blue' },
  { name: 'clear', words: 'clear', key: 'clear' },
] as const;
type Channel = (typeof CHANNELS)[number];

const channel = (reading: ColourReading, { key }: Channel): number =>
  reading.kind === 'rgb' ? (reading[key] ?? 0) : 0;

const counts = (of: Channel): Column => ({
  name: of.name,
  words: of.words,
  period: null,
  of: (reading, scale) => channel(reading, of) * scale.counts,
});

/** Red's and green's share of all three; blue's is the rest. Nothing at all is grey. */
const shareOfThree = (reading: ColourReading, of: Channel): number => {
  const sum = CHANNELS.slice(0, 3).reduce((all, one) => all + channel(reading, one), 0);
  return sum > 0 ? channel(reading, of) / sum : 1 / 3;
};

const percentOfThree = (of: Channel): Column => ({
  name: `${of.name}Percent`,
  words: `${of.words}’s percent of red + green + blue`,
  period: null,
  of: (reading) => 100 * shareOfThree(reading, of),
});

const hueRadOf = (reading: ColourReading): number =>
  reading.kind === 'hue' ? reading.hueRad : (hsvOfReading(reading)?.hueRad ?? 0);

const HUE: Column = {
  name: 'h',
  words: 'hue',
  period: ({ h }) => h,
  of: (reading, scale) => hueInScale(hueRadOf(reading), scale),
};
/** Saturation and value of a sensor that shows counts are said in percent. */
const inScale = (reading: ColourReading, most: number): number =>
  reading.kind === 'hsv' ? most : 100;
const SATURATION: Column = {
  name: 's',
  words: 'saturation',
  period: null,
  of: (reading, { s }) => (hsvOfReading(reading)?.saturation ?? 0) * inScale(reading, s),
};
const VALUE: Column = {
  name: 'v',
  words: 'value',
  period: null,
  of: (reading, { v }) => (hsvOfReading(reading)?.value ?? 0) * inScale(reading, v),
};

const [RED, GREEN] = CHANNELS;

const single = (of: Channel): Representation => ({
  id: `channel-${of.name}`,
  name: `${of.words} alone`,
  features: (reading) => [channel(reading, of)],
  isAngle: false,
  byHueAlone: false,
  columns: [counts(of)],
});

const BY_HUE: Representation = {
  id: 'hue',
  name: 'hue alone',
  features: (reading) => [hueRadOf(reading)],
  isAngle: true,
  byHueAlone: true,
  columns: [HUE],
};
const BY_VALUE: Representation = {
  id: 'value',
  name: 'value alone',
  features: (reading) => [hsvOfReading(reading)?.value ?? 0],
  isAngle: false,
  byHueAlone: false,
  columns: [VALUE],
};
const NORMALISED: Representation = {
  id: 'normalised',
  name: 'shares of red, green and blue',
  features: (reading) => [shareOfThree(reading, RED), shareOfThree(reading, GREEN)],
  isAngle: false,
  byHueAlone: false,
  columns: CHANNELS.slice(0, 3).map(percentOfThree),
};
/** Hue and saturation as a plane, so that hues beside the seam are neighbours and grey lies in the middle. */
const HSV: Representation = {
  id: 'hsv',
  name: 'hue, saturation and value',
  features: (reading) => {
    const { hueRad, saturation, value } = hsvOfReading(reading) ?? NO_HSV;
    return [saturation * Math.cos(hueRad), saturation * Math.sin(hueRad), value];
  },
  isAngle: false,
  byHueAlone: false,
  columns: [HUE, SATURATION, VALUE],
};
const NO_HSV = { hueRad: 0, saturation: 0, value: 0 };

const raw = (channels: readonly Channel[]): Representation => ({
  id: 'raw',
  name: channels.map(({ words }) => words).join(', '),
  features: (reading) => channels.map((one) => channel(reading, one)),
  isAngle: false,
  byHueAlone: false,
  columns: channels.map(counts),
});

const withAll = (channels: readonly Channel[]): readonly Representation[] => [
  ...channels.map(single),
  BY_HUE,
  BY_VALUE,
  NORMALISED,
  HSV,
  raw(channels),
];

/** The ways to look at each sort of readings, those of the fewest numbers first. */
const WAYS: {
  [K in ColourReading['kind']]: (
    reading: Extract<ColourReading, { kind: K }>,
  ) => readonly Representation[];
} = {
  class: () => [],
  hue: () => [BY_HUE],
  hsv: () => [BY_HUE, BY_VALUE, HSV],
  rgb: ({ clear }) => withAll(clear === null ? CHANNELS.slice(0, 3) : CHANNELS),
};

export const representationsOf = (reading: ColourReading): readonly Representation[] =>
  (WAYS[reading.kind] as (of: ColourReading) => readonly Representation[])(reading);
