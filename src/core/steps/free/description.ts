import { description, number, text, type RecordOf } from '../../description/description';
import { say, side, size } from '../../description/phrase';

const scatter = (label: string) =>
  number({
    label,
    about: 'left out: a guess',
    quantity: 'small length',
    min: 0,
    max: 1,
  });

/** Whatever Corvat does not know, in the team's own words, with where it ends. */
export const FREE = description({
  kind: 'free',
  label: 'In own words',
  fields: {
    words: text({
      label: 'What it does',
      isNeeded: true,
      wanted: 'expected what it does',
      mostLetters: 200,
      default: 'something of our own',
    }),
    alongM: number({
      label: 'Ends ahead',
      about: 'of where it begins; negative: behind',
      quantity: 'length',
      min: -10,
      max: 10,
      default: 0,
    }),
    acrossM: number({
      label: 'Ends to the left',
      about: 'negative: to the right',
      quantity: 'length',
      min: -10,
      max: 10,
      default: 0,
    }),
    headingRad: number({
      label: 'Turned by',
      about: 'negative: to the right',
      quantity: 'angle',
      min: -20,
      max: 20,
      default: 0,
    }),
    seconds: number({ label: 'Time', quantity: 'time', min: 0, max: 150, default: 1 }),
  },
  optional: {
    alongSdM: scatter('Scatter ahead'),
    acrossSdM: scatter('Scatter to the side'),
    headingSdRad: number({
      label: 'Scatter of the heading',
      about: 'left out: a guess',
      quantity: 'angle',
      min: 0,
      max: 1,
    }),
  },
  phrase: () => [
    ...say`“${'words'}”: ends ${size('alongM')} ${side('alongM', 'Ahead or behind', { plus: 'ahead', minus: 'behind' })} and ${size('acrossM')} to the ${side('acrossM', 'Which side', { plus: 'left', minus: 'right' })}, turned by ${size('headingRad')} to the ${side('headingRad', 'Which way', { plus: 'left', minus: 'right' })}, after ${'seconds'}`,
    { ifSet: 'alongSdM', phrase: say`, ± ${'alongSdM'} ahead` },
    { ifSet: 'acrossSdM', phrase: say`, ± ${'acrossSdM'} to the side` },
    { ifSet: 'headingSdRad', phrase: say`, ± ${'headingSdRad'} of heading` },
  ],
});

export type FreeStep = RecordOf<typeof FREE>;
