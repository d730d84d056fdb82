import { number } from '../description/description';

/** A length that is read off when something that was applied is tried. */
export const LENGTH_READ = number({
  label: 'Read',
  quantity: 'small length',
  min: 0,
  max: 10,
});
