import { radiansFromDegrees as deg } from '../geometry/angle';
import { guess, type Source } from './source';

/** Where the start jig truly puts a robot, the same in all its runs. */
export const START_JIG: readonly Source[] = [
  {
    name: 'place of the start jig',
    measuredBy: null,
    doubt: () => guess(0.001),
    imagine: (one, acrossM) => ({
      ...one,
      placed: { ...one.placed, yM: one.placed.yM + acrossM },
    }),
  },
  {
    name: 'aim of the start jig',
    measuredBy: null,
    doubt: () => guess(deg(0.3)),
    imagine: (one, angleRad) => ({
      ...one,
      placed: { ...one.placed, headingRad: one.placed.headingRad + angleRad },
    }),
  },
];
