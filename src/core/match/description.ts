import { choice, number, text } from '../description/description';

/* The values of a match and of its launches, each described once. */

export const MATCH = {
  clockS: number({
    label: 'The clock runs for',
    quantity: 'time',
    min: 10,
    max: 3600,
    default: 150,
  }),
  bestOf: number({
    label: 'What counts is the best of',
    about: 'so many matches',
    hint: 'matches',
    quantity: 'times',
    min: 1,
    max: 20,
    whole: true,
    default: 3,
  }),
  fetchS: number({
    label: 'Fetching a robot that stopped',
    quantity: 'time',
    min: 0,
    max: 120,
    default: 8,
  }),
  fetchPoints: number({
    label: 'Fetching it costs',
    about: 'each time that a robot is fetched by hand',
    quantity: 'points',
    min: 0,
    max: 1000,
    whole: true,
    default: 0,
  }),
};

export const MOST_LAUNCHES = 8;

export const LAUNCH = {
  mounted: text({
    label: 'What is mounted',
    hint: 'besides what its route has',
    mostLetters: 80,
    default: '',
  }),
  whenFailed: choice({
    label: 'If it stops on the way',
    options: {
      next: 'go on with the next',
      again: 'once more, if time is left',
    },
    default: 'next',
  }),
};

/** So many of a launch are kept. */
export const MOST_CHANGE_OVERS = 50;

/** How long it took to have the robot ready for a launch. */
export const CHANGE_OVER = number({
  label: 'Change-over',
  quantity: 'time',
  min: 0.5,
  max: 300,
});
