import { differentApartS } from '../light/lineSpeed';
import { mean } from '../stats/moments';
import { gaussianClasses, nearest } from './gaussian';
import type { ColourReading, ColourSample } from './reading';
import { representationsOf } from './representations';

/** On the way from one colour to another the spot lies on both: it may read as a third. */
export interface EdgeRead {
  from: string;
  to: string;
  third: string;
  /** Over which share of the spot's way across the edge. */
  share: number;
}

/** How finely the way across an edge is looked at. */
const STEPS = 40;
/** A third colour over less of the edge than this is hardly ever read. */
const LEAST_SHARE = 0.05;

type Rgb = Extract<ColourReading, { kind: 'rgb' }>;

const isRgb = (reading: ColourReading): reading is Rgb => reading.kind === 'rgb';

/** What a colour reads on average: light of two surfaces under one spot adds up. */
function meanOf(readings: readonly Rgb[]): Rgb {
  const of = (key: 'red' | 'green' | 'blue') => mean(readings.map((one) => one[key]));
  const clear = readings.flatMap((one) => one.clear ?? []);
  return {
    kind: 'rgb',
    red: of('red'),
    green: of('green'),
    blue: of('blue'),
    clear: clear.length === readings.length ? mean(clear) : null,
  };
}

const mixed = (a: Rgb, b: Rgb, share: number): Rgb => {
  const of = (x: number, y: number) => x + share * (y - x);
  return {
    kind: 'rgb',
    red: of(a.red, b.red),
    green: of(a.green, b.green),
    blue: of(a.blue, b.blue),
    clear: a.clear === null || b.clear === null ? null : of(a.clear, b.clear),
  };
};

/**
 * Which third colours an edge between two may be taken for, by the way in which the classes are told apart. Of sensors
 * that show red, green and blue alone: how hues mix does not follow from hues.
 *
 * @param representation the way's id
 */
export function edgesRead(
  samples: readonly ColourSample[],
  names: readonly string[],
  representation: string,
): EdgeRead[] {
  const own = names.map((name) =>
    samples.filter((one) => one.name === name).map(({ reading }) => reading),
  );
  const rgb = own.map((readings) => readings.filter(isRgb));
  const [first] = samples;
  if (first === undefined || rgb.some(({ length }) => length === 0)) return [];
  const way = representationsOf(first.reading).find(({ id }) => id === representation);
  if (way === undefined) return [];
  const classes = gaussianClasses(
    own.map((readings) => readings.map((reading) => way.features(reading))),
    way.isAngle,
  );
  const means = rgb.map(meanOf);
  const counts = new Map<string, EdgeRead>();
  for (const [a, from] of means.entries()) {
    for (const [b, to] of means.entries()) {
      if (b <= a) continue;
      for (let i = 0; i <= STEPS; i += 1) {
        const { at, isNone } = nearest(
          classes,
          way.features(mixed(from, to, i / STEPS)),
          way.isAngle,
        );
        if (isNone || at === a || at === b) continue;
        const third = names[at] ?? '';
        const edge = { from: names[a] ?? '', to: names[b] ?? '', third };
        const key = `${a} ${b} ${at}`;
        const share = (counts.get(key)?.share ?? 0) + 1 / (STEPS + 1);
        counts.set(key, { ...edge, share });
      }
    }
  }
  return [...counts.values()]
    .filter(({ share }) => share >= LEAST_SHARE)
    .toSorted((a, b) => b.share - a.share);
}

/** How a program comes by its readings of a colour. */
export interface ReadsAt {
  spotM: number;
  speedMPerS: number;
  loopPeriodS: number;
  sensorPeriodS: number;
}

/** How many different readings in a row have to say the same until it is no edge. */
export const inARow = (share: number, of: ReadsAt): number =>
  Math.floor(
    (share * of.spotM) / (of.speedMPerS * differentApartS(of.loopPeriodS, of.sensorPeriodS)),
  ) + 1;
