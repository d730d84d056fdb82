import { choice, number, orNothing, text } from '../../description/description';

/** What a program may read light in: the largest reading of each, where there is one. */
export const LIGHT_LIST = {
  scale: choice({
    label: 'The sensor shows',
    options: {
      percent: 'percent',
      share: '0 to 1',
      byte: '0 to 255',
      counts: 'counts',
    },
    default: 'percent',
  }),
  full: orNothing(
    number({
      label: 'Largest count, if known',
      about: 'of counts; null: not known',
      quantity: 'ratio',
      min: 0,
      max: 1e9,
      open: 'below',
    }),
  ),
  venue: text({ label: 'Where', about: 'the venue: “home table”', default: '' }),
  lighting: text({ label: 'Light there', about: 'lamps, daylight, dark', default: '' }),
  programs: orNothing(
    number({
      label: 'Your program compares with',
      about: 'the threshold in use; null: not told',
      quantity: 'gain',
      min: -1e6,
      max: 1e6,
    }),
  ),
};

const largest = (label: string, about: string) =>
  orNothing(number({ label, about, quantity: 'gain', min: 0, max: 1e6, open: 'below' }));

/** In which form a colour sensor shows what it sees. */
export const COLOUR_LIST = {
  shows: choice({
    label: 'The sensor shows',
    options: {
      rgb: 'red, green, blue',
      hsv: 'hue, saturation, value',
      hue: 'hue alone',
      class: 'a colour’s name',
    },
    default: 'rgb',
  }),
  full: largest('Largest count, if known', 'of red, green, blue; null: as the readings show'),
  fullHue: largest('A whole turn of hue is', 'null: 360'),
  fullShare: largest('Largest saturation and value', 'null: as the readings show'),
  white: text({ label: 'White reference', about: 'one of the colours; empty: none', default: '' }),
  black: text({ label: 'Black reference', about: 'one of the colours; empty: none', default: '' }),
  divisor: largest('Your program divides each count by', 'null: it uses counts as they are'),
  keepsTo: largest('And keeps it to at most', 'null: it cuts nothing off'),
};
