import { radiansFromDegrees } from '../geometry/angle';
import type { RawSigns } from '../robot/robot';

/** A unit that numbers of a channel may be written in. */
export interface ChannelUnit {
  name: string;
  /** What a number in it is multiplied by to be in the core's unit. */
  factor: number;
  /** How a column's title ends, or says, that it is in this unit. */
  said: RegExp;
}

/** A kind of thing that a log can hold. */
export interface ChannelKind {
  /** The key of the only channel of this kind in a log, or the beginning of the key where there may be several. */
  key: string;
  name: string;
  /** Several channels of this kind are told apart by names of their own. */
  several: boolean;
  /** The title of its column in Corvat's files, or the ending of it where there may be several. */
  title: string;
  /** What other titles mean it. */
  guess: RegExp;
  /** The first is that of Corvat's files, and of the screen. */
  units: readonly [ChannelUnit, ...ChannelUnit[]];
  /** Digits after the point, in the first unit: on the screen, and in files (null: as it is). */
  shownDecimals: number;
  filedDecimals: number | null;
  /** By which sign of the robot's record its raw readings are turned round. */
  sign: keyof RawSigns | null;
  /** How it is counted on where it begins anew after a turn. */
  countsOn: 'heading' | 'encoder' | null;
  /** Shown in the team's unit of length. */
  isLength?: true;
  /** Its values in words, where they are no measure. */
  says?: (value: number) => string;
  /** What it means that a reading is missing. */
  gap: string;
  /** No reading is beyond this, in the core's unit. */
  limit: number;
}

const DEG = radiansFromDegrees(1);
const NOT_READ = 'not read then';

const plain = (name: string): readonly [ChannelUnit] => [{ name, factor: 1, said: /^$/ }];

const angle: ChannelKind['units'] = [
  { name: '°', factor: DEG, said: /deg/i },
  { name: 'rad', factor: 1, said: /rad/i },
  { name: '0.1°', factor: 0.1 * DEG, said: /tenths|decideg/i },
];

const motor: ChannelKind['units'] = [
  { name: '°', factor: 1, said: /deg/i },
  { name: 'rotations', factor: 360, said: /rot|turns|rev/i },
];

const share = [
  { name: '%', factor: 0.01, said: /percent|pct|%/i },
  { name: 'of 1', factor: 1, said: /share/i },
  { name: 'of 255', factor: 1 / 255, said: /255|8bit/i },
  { name: 'of 1023', factor: 1 / 1023, said: /1023|10bit/i },
] as const;

/**
 * All that a log can hold, and all that is known of each: reading, keeping, showing and exporting go by this
 * table. A kind is looked for from the top: what comes first takes a title that fits several.
 */
export const CHANNEL_KINDS: readonly ChannelKind[] = [
  {
    key: 'rateRadPerS',
    name: 'Turning rate',
    several: false,
    title: 'rate_deg_per_s',
    guess: /rate|omega|speed_deg/i,
    units: [
      { name: '°/s', factor: DEG, said: /deg/i },
      { name: 'rad/s', factor: 1, said: /rad/i },
      { name: '0.1 °/s', factor: 0.1 * DEG, said: /tenths/i },
    ],
    shownDecimals: 2,
    filedDecimals: 5,
    sign: 'heading',
    countsOn: null,
    gap: NOT_READ,
    limit: 2000,
  },
  {
    key: 'targetRad',
    name: 'Target heading',
    several: false,
    title: 'target_deg',
    guess: /^target|setpoint/i,
    units: angle,
    shownDecimals: 1,
    filedDecimals: 5,
    sign: 'heading',
    countsOn: null,
    gap: NOT_READ,
    limit: 20_000,
  },
  {
    key: 'leftMotorDegrees',
    name: 'Left motor angle',
    several: false,
    title: 'left_deg',
    guess: /^l(eft)?($|[^a-z]*(deg|rot|motor|enc|pos))/i,
    units: motor,
    shownDecimals: 0,
    filedDecimals: 4,
    sign: 'leftMotor',
    countsOn: 'encoder',
    gap: NOT_READ,
    limit: 1e8,
  },
  {
    key: 'rightMotorDegrees',
    name: 'Right motor angle',
    several: false,
    title: 'right_deg',
    guess: /^r(ight)?($|[^a-z]*(deg|rot|motor|enc|pos))/i,
    units: motor,
    shownDecimals: 0,
    filedDecimals: 4,
    sign: 'rightMotor',
    countsOn: 'encoder',
    gap: NOT_READ,
    limit: 1e8,
  },
  {
    key: 'headingRad',
    name: 'Heading',
    several: false,
    title: 'heading_deg',
    guess: /heading|yaw|gyro|^angle/i,
    units: angle,
    shownDecimals: 1,
    filedDecimals: 5,
    sign: 'heading',
    countsOn: 'heading',
    gap: NOT_READ,
    limit: 20_000,
  },
  {
    key: 'volts',
    name: 'Battery',
    several: false,
    title: 'volts',
    guess: /volt|battery|^v$/i,
    units: [
      { name: 'V', factor: 1, said: /volts$/i },
      { name: 'mV', factor: 0.001, said: /mv|milli/i },
    ],
    shownDecimals: 2,
    filedDecimals: 4,
    sign: null,
    countsOn: null,
    gap: NOT_READ,
    limit: 100,
  },
  {
    key: 'step',
    name: 'Step of the program',
    several: false,
    title: 'step',
    guess: /^step/i,
    units: plain(''),
    shownDecimals: 0,
    filedDecimals: null,
    sign: null,
    countsOn: null,
    gap: NOT_READ,
    limit: 1e6,
  },
  {
    key: 'correction',
    name: 'Correction',
    several: false,
    title: 'correction',
    guess: /^correction|^steer/i,
    units: plain(''),
    shownDecimals: 2,
    filedDecimals: null,
    sign: null,
    countsOn: null,
    gap: NOT_READ,
    limit: 1e7,
  },
  {
    key: 'distanceM',
    isLength: true,
    name: 'Distance',
    several: true,
    title: 'cm',
    guess: /distance|range|echo|[_ ](cm|mm|m|in|inch|inches)$/i,
    units: [
      { name: 'cm', factor: 0.01, said: /cm/i },
      { name: 'mm', factor: 0.001, said: /mm/i },
      { name: 'm', factor: 1, said: /[_ ]m$/i },
      { name: 'in', factor: 0.0254, said: /[_ ]in(ch|ches)?$/i },
    ],
    shownDecimals: 1,
    filedDecimals: 4,
    sign: null,
    countsOn: null,
    gap: 'no echo, or not read then',
    limit: 100,
  },
  {
    key: 'colour',
    name: 'Colour',
    several: true,
    title: 'share',
    guess: /(^|[_ ])(red|green|blue|clear|hue|saturation)($|[_ ])/i,
    units: [share[1], share[0], share[2], share[3]],
    shownDecimals: 2,
    filedDecimals: 5,
    sign: null,
    countsOn: null,
    gap: NOT_READ,
    limit: 100,
  },
  {
    key: 'light',
    name: 'Light',
    several: true,
    title: 'percent',
    guess: /light|reflect|bright|[_ ]percent$/i,
    units: share,
    shownDecimals: 0,
    filedDecimals: 4,
    sign: null,
    countsOn: null,
    gap: NOT_READ,
    limit: 100,
  },
  {
    key: 'touch',
    name: 'Touch',
    several: true,
    title: 'touch',
    guess: /touch|bumper|pressed|button/i,
    units: plain(''),
    shownDecimals: 0,
    filedDecimals: 3,
    sign: null,
    countsOn: null,
    says: (value) => (value > 0.5 ? 'pressed' : 'free'),
    gap: NOT_READ,
    limit: 1000,
  },
  {
    key: 'attachmentDegrees',
    name: 'Attachment angle',
    several: true,
    title: 'deg',
    guess: /[_ ](deg|degrees|rot|rotations)$/i,
    units: motor,
    shownDecimals: 0,
    filedDecimals: 4,
    sign: null,
    countsOn: 'encoder',
    gap: NOT_READ,
    limit: 1e8,
  },
  {
    key: 'number',
    name: 'Another number',
    several: true,
    title: '',
    guess: /^/,
    units: plain(''),
    shownDecimals: 2,
    filedDecimals: null,
    sign: null,
    countsOn: null,
    gap: NOT_READ,
    limit: 1e9,
  },
];
