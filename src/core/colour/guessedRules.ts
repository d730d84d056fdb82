import type { ColourRules } from './inequalities';

/** A hue means something from this saturation and value on, in percent. */
const HUE_FROM = { s: 40, v: 8 };

const byHue = (name: string, low: number, high: number): ColourRules => ({
  name,
  boxes: [
    [
      { by: 'h', low, high },
      { by: 's', low: HUE_FROM.s, high: null },
      { by: 'v', low: HUE_FROM.v, high: null },
    ],
  ],
});

const byValue = (name: string, low: number | null, high: number | null): ColourRules => ({
  name,
  boxes: [
    [
      { by: 's', low: null, high: HUE_FROM.s },
      { by: 'v', low, high },
    ],
  ],
});

/**
 * How colours are told that have a word of their own, where the team has not read them: a guess, by hue, saturation and
 * value of the light that comes back, over white and black.
 */
const GUESSED: readonly ColourRules[] = [
  byHue('red', 335, 9),
  byHue('green', 75, 165),
  byHue('blue', 200, 262),
  byHue('yellow', 28, 75),
  byValue('white', 50, null),
  { name: 'black', boxes: [[{ by: 'v', low: null, high: HUE_FROM.v }]] },
  byValue('grey', HUE_FROM.v, 50),
  byHue('orange', 9, 28),
  byHue('turquoise', 165, 200),
  byHue('purple', 262, 335),
];

/** The inequalities by which a colour of that name is told; null: no colour is called so. */
export const guessedRules = (name: string): ColourRules | null =>
  GUESSED.find((one) => one.name === name.trim().toLowerCase()) ?? null;

/** The colours that are told by what their words mean. */
export const guessedNames = (): string[] => GUESSED.map(({ name }) => name);
