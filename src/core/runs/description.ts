import { number, orNothing } from '../description/description';

/* The values of runs and series, each described once. */

export const PLANNED_RUNS = number({
  label: 'Planned runs',
  hint: '3 give a first idea, 10 the spread to about a quarter, 30 are the standard’s',
  quantity: 'runs',
  min: 1,
  max: 1000,
  whole: true,
});

const offset = (label: string, about: string) =>
  orNothing(number({ label, about, quantity: 'small length', min: -5, max: 5 }));

/** Where a run ended, from its planned end, in the table's frame. */
export const END = {
  endXM: offset('End x (to the right)', 'end offset from the planned end, in table x'),
  endYM: offset('End y (away)', 'end offset from the planned end, in table y'),
  endHeadingRad: orNothing(
    number({ label: 'Heading', quantity: 'heading', min: -3.1416, max: 3.1416 }),
  ),
};

export const BATTERY = {
  batteryV: orNothing(number({ label: 'Voltage', quantity: 'voltage', min: 0, max: 60 })),
};

/** Which of a series' runs. */
export const RUN_NUMBER = number({
  label: 'Run',
  quantity: 'count',
  min: 1,
  max: 100_000,
  whole: true,
});
