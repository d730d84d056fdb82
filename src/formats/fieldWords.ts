import type { AnyValue } from '../core/description/description';
import { exactValue, nameWords } from '../core/description/words';
import { TRIAL_KINDS } from '../core/trials/registry';
import { kindOf, type UnitKindName } from '../core/units/registry';
import { errorFigure, errorScale, fineDecimals } from '../core/text/lengths';
import { colourText } from '../core/colour/name';
import { degreesFromRadians } from '../core/geometry/angle';
import { shortNumber, benchSpeed, headingFigure, headingText } from '../core/text/quantities';

/** Names of parts of a record, as the screens call them. */
const PARTS: Record<string, string> = {
  robot: '',
  table: '',
  body: 'body',
  motors: 'motors',
  errors: 'assumed to be wrong',
  signs: 'direction',
  build: 'build',
  units: 'unit',
  behaviour: '',
  place: '',
  ports: 'port',
  missions: 'mission',
  walls: 'wall',
  lines: 'line',
  fields: 'coloured field',
  pose: '',
  window: 'window',
  trials: 'trial',
  conditions: '',
  settings: '',
};

/** Names of values, as the screens call them, without their unit. */
const NAMES: Record<string, string> = {
  timeZone: 'time zone',
  wheelDiameter: 'wheel diameter',
  track: 'track width',
  gearRatio: 'motor turns per wheel turn',
  encoderCountsPerMotorDegree: 'counts per motor degree',
  front: 'to the front',
  rear: 'to the rear',
  halfWidth: 'to either side',
  maxSpeed: 'top speed',
  maxAcceleration: 'acceleration',
  loopPeriod: 'loop period',
  facing: 'looks to the left by',
  programName: 'name in programs',
  address: 'address on its bus',
  ahead: 'ahead of the axle',
  left: 'left of the middle',
  wheelScaleError: 'wheels larger by',
  wheelDifference: 'right wheel larger by',
  trackScaleError: 'track wider by',
  slip: 'slip scatter after 1 m',
  leftMotor: 'left motor',
  rightMotor: 'right motor',
  drivenWheels: 'driven wheels',
  skids: 'wheels slide sideways in turns',
  trailingCaster: 'a caster that swings round',
  driftCures: 'ways to get rid of drift',
  isPossible: 'can be done',
  takes: 'takes',
  encodersRollOver: 'encoders roll over',
  onStop: 'motors on a stop',
  startZeroesHeading: 'starting a program zeroes the heading',
  width: 'along the home edge',
  height: 'away from it',
  x: 'x',
  y: 'y',
  along: 'along ±',
  across: 'across ±',
  floorColour: 'colour of the floor',
  colour: 'colour',
  endX: 'end x',
  endY: 'end y',
  endHeading: 'heading at the end',
  battery: 'battery',
  batteryV: 'voltage',
  placedBy: 'placed by',
  happenedAt: 'when',
  setAsideReason: 'set aside, reason',
  worked: 'worked',
};

interface UnitWords {
  suffix: RegExp;
  show(value: number): string;
}

const small = (suffix: RegExp, moreDecimals: number): UnitWords => ({
  suffix,
  show: (value) =>
    `${shortNumber(errorFigure(value), fineDecimals() + moreDecimals)} ${errorScale().label}`,
});

const scaled = (suffix: RegExp, factor: number, unit: string): UnitWords => ({
  suffix,
  show: (value) => `${shortNumber(value * factor, 3)} ${unit}`,
});

/** Units by the ending of a name, the longest first. */
const UNITS: UnitWords[] = [
  small(/MPerSqrtM$/, 2),
  { suffix: /MPerS2$/, show: (v) => `${benchSpeed(v, 2)}²` },
  { suffix: /MPerS$/, show: (v) => benchSpeed(v, 2) },
  { suffix: /RadPerSqrtS$/, show: (v) => `${shortNumber(degreesFromRadians(v), 4)} °/√s` },
  { suffix: /(?<=^drift)RadPerS$/, show: (v) => `${shortNumber(headingFigure(v), 4)} °/s` },
  { suffix: /RadPerS$/, show: (v) => `${shortNumber(degreesFromRadians(v), 4)} °/s` },
  { suffix: /(?<=^(h|endH)eading)Rad$/, show: (v) => headingText(v, 2) },
  { suffix: /Rad$/, show: (v) => `${shortNumber(degreesFromRadians(v), 2)}°` },
  scaled(/(Error|Difference|Share)$/, 100, '%'),
  small(/M$/, 2),
  scaled(/S$/, 1000, 'ms'),
  scaled(/V$/, 1, 'V'),
];

/** Endings that belong to the name and not to its unit. */
const KEEPS_ITS_ENDING = /(Error|Difference|Share|V)$/;

const spaced = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

function nameOf(key: string): string {
  const unit = UNITS.find(({ suffix }) => suffix.test(key));
  const bare =
    unit === undefined || KEEPS_ITS_ENDING.test(key) ? key : key.replace(unit.suffix, '');
  return NAMES[key] ?? NAMES[bare] ?? spaced(bare);
}

const at = (value: unknown, keys: readonly string[]): unknown =>
  keys.reduce((of: unknown, key) => (of as Record<string, unknown> | undefined)?.[key], value);

/** How its kind describes the value at a path of a record, where one does: of a unit's behaviour, of a trial. */
function describedAt(path: string, record: unknown): AnyValue | undefined {
  const keys = path.split('.');
  if (keys[0] === 'trials') {
    const { procedure } = record as { procedure?: string };
    return TRIAL_KINDS[procedure ?? '']?.fields[keys[2] ?? ''];
  }
  const behaviour = keys.indexOf('behaviour');
  if (behaviour < 0) return undefined;
  const { kind } = (at(record, keys.slice(0, behaviour)) ?? {}) as { kind?: UnitKindName };
  return kind === undefined ? undefined : kindOf(kind).behaviour[keys[behaviour + 1] ?? ''];
}

/** What the field at a path of a record is called on the screens: "body, to the front". */
export function fieldName(path: string, record: unknown): string {
  const keys = path.split('.');
  const described = describedAt(path, record);
  const lastName = (key: string) => (described === undefined ? nameOf(key) : nameWords(described));
  let here: unknown = record;
  const words: string[] = [];
  keys.forEach((key, i) => {
    const inner = (here as Record<string, unknown> | undefined)?.[key];
    if (/^\d+$/.test(key)) {
      const { name, label } = (inner ?? {}) as { name?: string; label?: string };
      words[words.length - 1] += ` ${name ?? label ?? Number(key) + 1}`;
    } else if (i === keys.length - 1) words.push(PARTS[key] ?? lastName(key));
    else if (key === 'missions' && !/^\d+$/.test(keys[i + 1] ?? '')) words.push('mission');
    else if ((PARTS[key] ?? key) !== '') words.push(PARTS[key] ?? key);
    here = inner;
  });
  return words.filter((word) => word !== '').join(', ');
}

/** A value of a record with its unit, as the screens show it. */
export function fieldValue(path: string, value: unknown, record: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  const described = describedAt(path, record);
  if (described !== undefined) return exactValue(described, value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return /colour$/i.test(path) ? colourText(value) : value;
  if (typeof value === 'number') {
    const key = path.split('.').at(-1) ?? '';
    if (path.includes('signs.')) return value > 0 ? 'grows' : 'shrinks';
    const unit = UNITS.find(({ suffix }) => suffix.test(key));
    return unit === undefined ? shortNumber(value, 4) : unit.show(value);
  }
  if (Array.isArray(value)) {
    const names = value.map((one, i) => {
      const { name, label } = Object(one) as { name?: string; label?: string };
      return typeof one === 'string' ? one : (name ?? label ?? `no. ${i + 1}`);
    });
    return names.length === 0 ? 'none' : `${names.length}: ${names.join(', ')}`;
  }
  const { name, label } = value as { name?: string; label?: string };
  return name ?? label ?? 'there';
}
