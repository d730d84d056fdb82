import { choice, number, orNothing, themselves } from '../description/description';
import { TUNED_IDS } from '../robot/tunedIds';
import type { SEEN } from '../tuning/byEye';
import type { SETTLES } from '../tuning/damping';
import { trialKind } from './kind';

const WORDS = {
  'too slow': 'Too slow',
  good: 'Good',
  'too jerky': 'Too jerky',
  'wrong way': 'The wrong way',
} as const satisfies Record<(typeof SEEN)[number], string>;

/** A gain that was tried, and how the robot came back with it. */
export const GAIN_TRIAL = trialKind({
  what: 'gain',
  fields: {
    controller: choice({ label: 'Controller', options: themselves(TUNED_IDS) }),
    gain: number({
      label: 'Gain in the program',
      hint: 'with a minus where the correction is turned round',
      heading: 'Gain',
      wanted: 'expected a gain, not 0',
      quantity: 'gain',
      min: -1e5,
      max: 1e5,
      notZero: true,
    }),
    seen: choice({ label: 'How it came back', options: WORDS }),
    proposedGainFactor: orNothing(
      number({
        label: 'To be multiplied by',
        about: 'null: it was only looked at',
        quantity: 'ratio',
        min: -100,
        max: 100,
      }),
    ),
    speed: orNothing(
      number({
        label: 'Tried at',
        about: 'of the drive, m/s, or of the turn, rad/s; null: the usual one',
        quantity: 'speed',
        min: 0,
        max: 100,
        open: 'below',
      }),
    ),
  },
  readOff: ['seen'],
});

const SETTLED = {
  overshoots: 'It swings past',
  settles: 'It settles',
  trembles: 'Its motors tremble',
  'stays off': 'It stays beside',
} as const satisfies Record<(typeof SETTLES)[number], string>;

const tuned = (label: string, hint: string) =>
  number({ label, hint, quantity: 'gain', min: 0, max: 1e4 });

/** A look at what is tuned second, with this gain. */
export const DAMPING_LOOK = {
  damping: tuned('Damping', 'in the program with the sign of the gain'),
  integral: tuned('Integral', '0, unless an error stays'),
  seen: choice({ label: 'How it came back with damping', options: SETTLED }),
};

/** What is kept to while a wall or a line's edge is followed. */
export const DISTANCE_KEPT = number({
  label: 'Distance to keep',
  quantity: 'length',
  min: 0,
  max: 10,
});
export const LIGHT_KEPT = number({ label: 'Light to keep', quantity: 'share', min: 0, max: 1 });
