import { significant } from '../../recipe/significant';
import type { Line } from '../../recipe/lines';
import type { OwnProgram } from '../../recipe/ownProgram';
import type { ColourNumber, ColourRules } from '../../colour/inequalities';
import type { ColoursTold } from './told';

/** What the numbers by which colours are told are called in lines. */
const NAMES: Record<ColourNumber, string> = {
  r: 'RED',
  g: 'GREEN',
  b: 'BLUE',
  clear: 'CLEAR',
  rPercent: 'RED PART',
  gPercent: 'GREEN PART',
  bPercent: 'BLUE PART',
  h: 'HUE',
  s: 'SATURATION',
  v: 'VALUE',
};

type Band = 'red' | 'green' | 'blue' | 'clear';

/** A band as a share of what white reads, or of the sensor's scale. */
function bandLine(band: Band, { unit, references }: ColoursTold, program: OwnProgram): Line[] {
  if (unit === null) return [];
  const read = (share: number) => program.reading(unit, band, share).value;
  const over = band === 'clear' ? null : references;
  const [low, high] =
    over === null || band === 'clear' ? [0, 1] : [over.black[band], over.white[band]];
  const [from, per] = [read(low), 1 / (read(high) - read(low))];
  return [
    `set ${band.toUpperCase()} to ${significant(per)} * (${program.read(unit, band)} - ${significant(from)})`,
  ];
}

/** Shares of all three, in percent. */
const PARTS: Line[] = [
  'set SUM to largest of (0.001, RED + GREEN + BLUE)',
  ...['RED', 'GREEN', 'BLUE'].map((band) => `set ${band} PART to 100 * ${band} / SUM`),
];

/** Hue in degrees, saturation and value in percent (the hexcone). */
const HEXCONE: Line[] = [
  'set MOST to largest of (RED, largest of (GREEN, BLUE))',
  'set RANGE to MOST - smallest of (RED, smallest of (GREEN, BLUE))',
  'set VALUE to 100 * MOST',
  'set SATURATION to 0',
  'set HUE to 0',
  'if RANGE > 0:',
  [
    'set SATURATION to 100 * RANGE / MOST',
    'if MOST = RED:',
    ['set HUE to 60 * (GREEN - BLUE) / RANGE'],
    'otherwise:',
    [
      'if MOST = GREEN:',
      ['set HUE to 120 + 60 * (BLUE - RED) / RANGE'],
      'otherwise:',
      ['set HUE to 240 + 60 * (RED - GREEN) / RANGE'],
    ],
    'if HUE < 0:',
    ['set HUE to HUE + 360'],
  ],
];

type Bounds = ColourRules['boxes'][number][number];

function bandText({ by, low, high }: Bounds): string[] {
  const name = NAMES[by];
  const [from, to] = [low, high].map((bound) => (bound === null ? null : significant(bound)));
  const texts = [
    ...(from === null ? [] : [`${name} >= ${from}`]),
    ...(to === null ? [] : [`${name} <= ${to}`]),
  ];
  // A hue that begins above its end goes over the seam.
  const isOverSeam = low !== null && high !== null && low > high;
  return isOverSeam ? [`(${texts.join(' or ')})`] : texts;
}

/** "HUE >= 28 and HUE <= 75 and VALUE >= 8". */
const boxText = (box: readonly Bounds[]): string => {
  const texts = box.flatMap(bandText);
  return texts.length === 0 ? '0 = 0' : texts.join(' and ');
};

/** The first colour whose inequalities the reading fulfils: ANSWER is its place, or 0. */
export function colourLines(
  told: ColoursTold,
  names: readonly string[],
  program: OwnProgram,
): Line[] {
  const used = new Set(told.rules.flatMap(({ boxes }) => boxes.flat().map(({ by }) => by)));
  const usesAny = (...numbers: ColourNumber[]) => numbers.some((one) => used.has(one));
  const bands: Band[] = ['red', 'green', 'blue', ...(used.has('clear') ? ['clear' as const] : [])];
  const { rules } = told;
  // The last that fits stands: so the first of them is asked last.
  const asked = rules
    .toReversed()
    .flatMap(({ name, boxes }) =>
      boxes.flatMap((box): Line[] => [
        `if ${boxText(box)}:`,
        [`set ANSWER to ${names.indexOf(name) + 1}`],
      ]),
    );
  return [
    ...bands.flatMap((band) => bandLine(band, told, program)),
    ...(usesAny('rPercent', 'gPercent', 'bPercent') ? PARTS : []),
    ...(usesAny('h', 's', 'v') ? HEXCONE : []),
    'set ANSWER to 0',
    ...asked,
  ];
}
