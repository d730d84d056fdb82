import { number, orNothing, text } from '../../description/description';

/** How something in the way is noticed; passes are counted where nothing is logged. */
const passes = (label: string, about: string) =>
  orNothing(number({ label, about, quantity: 'gain', min: 0, max: 100_000, whole: true }));
export const PRESENCE_LIST = {
  by: text({ label: 'By which sensor', about: 'its label', default: '' }),
  target: text({ label: 'What is there', about: 'its colour and material', default: '' }),
  passes: passes('Passes with something there', 'null: none was counted'),
  caught: passes('Noticed', 'of those passes'),
  absentPasses: passes('Passes with nothing there', 'null: none was counted'),
  falseAlarms: passes('Noticed all the same', 'of those passes'),
};

export const FAULT_LIST = {
  what: text({ label: 'What misbehaves', about: '“an echo is lost”', default: '' }),
};
