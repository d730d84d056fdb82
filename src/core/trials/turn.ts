import { choice, flag, number, orNothing, text, themselves } from '../description/description';
import { turningRateRadPerS, turnRad } from '../description/values';
import { trialKind, type TrialOf } from './kind';

const DEGREES = 'are these degrees? radians are expected';

/** What a turn made, or what was read of it. */
const madeRad = number({
  label: 'Truly turned',
  about: 'right turns negative',
  title: 'actual_deg',
  quantity: 'heading',
  min: -20,
  max: 20,
  beyond: `expected at most ± 20 rad (1146°): ${DEGREES}`,
});

/** Which way it faced; headings may be counted on, turn after turn. */
const facedRad = orNothing(
  number({
    label: 'Faced before the turn',
    about: 'before the turn; null: nobody noted it',
    hint: '0 along the table’s long edge',
    title: 'faced_deg',
    quantity: 'heading',
    min: -40,
    max: 40,
  }),
);

const { open: _open, ...rate } = turningRateRadPerS;
const WHEELS = { spin: 'both, in place', pivot: 'one stands' } as const;

/** A turn: told, and how far it truly went. Left positive. */
export const TURN_TRIAL = trialKind({
  what: 'trial',
  fields: {
    targetRad: {
      ...turnRad,
      label: 'Told to turn',
      title: 'target_deg',
      wanted: 'expected a turn, not 0',
      notZero: true,
    },
    actualRad: orNothing({ ...madeRad, about: 'null: judged by eye only' }),
    seen: orNothing(
      choice({
        label: 'It looked',
        options: { under: 'not far enough', right: 'right', over: 'too far' },
      }),
    ),
    wantedRad: orNothing({
      ...turnRad,
      label: 'It is to make',
      about: 'what a turn that was only looked at was to make; null: what it was told',
    }),
    times: number({
      label: 'Looked at together',
      about: 'so many such turns were looked at together: four of a square, say',
      quantity: 'times',
      min: 1,
      max: 8,
      whole: true,
      default: 1,
    }),
    // A robot that turns slower than this does not turn.
    rateRadPerS: { ...rate, label: 'At', min: 0.05 },
    kind: choice({ label: 'Wheels', title: 'kind', options: WHEELS, default: 'spin' }),
    durationS: orNothing(
      number({
        label: 'It took',
        title: 'duration_s',
        quantity: 'time',
        min: 0,
        max: 600,
        open: 'below',
        beyond: 'expected at most 600 s: are these milliseconds? seconds are expected',
      }),
    ),
    facedRad,
    place: text({ label: 'Stood at', about: 'where it stood', title: 'place', default: '' }),
    readingSdRad: orNothing(
      number({
        label: 'Read to ±',
        about: 'of an angle that was judged less surely than usual; null: as usual',
        quantity: 'angle',
        min: 0,
        max: 1,
        open: 'below',
      }),
    ),
    readingRad: orNothing({
      ...madeRad,
      label: 'Heading sensor showed',
      about: 'what the heading sensor showed of that turn; null: nobody noted it',
      title: 'reading_deg',
    }),
    measuredBy: choice({
      label: 'Truly turned, measured by',
      options: themselves([
        'protractor',
        'along the reference',
        'along the edge',
        'eye',
        'eye, in degrees',
        'own heading',
        'stand-in',
        'file',
      ]),
    }),
  },
  readOff: ['actualRad'],
});

const turnsTo = flag({
  label: 'Its program turns',
  no: 'by that angle',
  yes: 'to that heading',
});

/** How it began, where it followed a drive: taken out of what it was told and made. */
export const AFTER_DRIVE = {
  facedRad: orNothing({ ...facedRad, label: 'Truly faced as it began' }),
  readingRad: orNothing({ ...facedRad, label: 'Its sensor read then' }),
  turnsTo,
};

const { targetRad, rateRadPerS, kind, place } = TURN_TRIAL.fields;

/** A turn as a file has it: how fast it turned is told in one of three ways. */
export const TURN_ROW = trialKind({
  what: 'trial',
  fields: {
    targetRad,
    actualRad: madeRad,
    rateRadPerS: orNothing({ ...rateRadPerS, title: 'rate_deg_per_s', about: 'how fast' }),
    motorDegPerS: orNothing(
      number({
        label: 'Motors turn at',
        about: 'in place of the rate',
        title: 'motor_deg_per_s',
        quantity: 'motor angle',
        min: 1,
        max: 1e6,
      }),
    ),
    power: orNothing(
      number({
        label: 'Told, of full power',
        about: 'in place of the rate',
        title: 'power_percent',
        quantity: 'share',
        min: 0.01,
        max: 1,
      }),
    ),
    kind: { ...kind, options: themselves(['spin', 'pivot']) },
    durationS: TURN_TRIAL.fields.durationS,
    facedRad,
    place,
    readingRad: TURN_TRIAL.fields.readingRad,
  },
  readOff: [],
});

const size = { quantity: 'angle', min: 0, open: 'below' } as const;

/** A turn while it is entered: what was told, and what was read off by which means; magnitudes. */
export const TURN_ENTRY = {
  targetRad: { ...targetRad, ...size },
  direction: choice({ label: 'To the', options: themselves(['left', 'right']) }),
  rateRadPerS,
  kind: choice({ label: 'Wheels', options: WHEELS }),
  by: choice({
    label: 'Truly turned, measured by',
    options: {
      protractor: 'protractor',
      'along the reference': 'ruler, reference',
      'along the edge': 'ruler, edge',
      'eye, in degrees': 'eye, in degrees',
      eye: 'eye',
    },
  }),
  lookedAt: choice({
    label: 'Looked at',
    options: { 'one turn': 'one turn', 'a square of four': 'a square: does it close?' },
  }),
  means: choice({
    label: 'The reading is',
    options: { whole: 'the whole turn', over: 'what is over' },
  }),
  wantedRad: {
    ...turnRad,
    ...size,
    label: 'It is to make',
    hint: 'told a few degrees less, it may make just that',
  },
  angleRad: orNothing({ ...madeRad, quantity: 'angle' } as const),
  readingRad: orNothing({
    ...madeRad,
    label: 'Heading sensor showed',
    hint: 'after the turn, if you noted it',
    quantity: 'angle',
  } as const),
  withinRad: number({
    ...size,
    label: 'Give or take',
    hint: '95 of 100 such guesses are within it',
    max: 1,
  }),
  lengthM: number({
    label: 'Along the reference',
    quantity: 'small length',
    min: 0,
    max: 5,
    open: 'below',
  }),
  offsetM: orNothing(
    number({ label: 'Offset from the reference', quantity: 'small length', min: -5, max: 5 }),
  ),
  followed: choice({
    label: 'It began after',
    options: themselves(['standing still', 'a drive']),
  }),
  startFacedRad: {
    ...AFTER_DRIVE.facedRad,
    hint: 'from the line that it should face along',
    min: -3,
    max: 3,
  },
  startReadRad: {
    ...AFTER_DRIVE.readingRad,
    hint: 'either of the two will do',
    min: -3,
    max: 3,
  },
  turnsTo,
  facedRad,
  place,
};

export type TurnRow = TrialOf<typeof TURN_ROW>;
