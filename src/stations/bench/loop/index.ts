import { number } from '../../../core/text/quantities';
import type { Procedure } from '../procedure';

export const loop: Procedure = {
  id: 'loop',
  title: 'Loop and lag',
  group: 'control',
  goodFor: 'how often the program looks, how late its sensor tells, how late its motors come',
  minutes: 2,
  gives: ['mode-switch'],
  // A log says it each time; nothing of it is kept but what the record says.
  known: ({ robot }) =>
    Promise.resolve({
      sentence: `The record says a round every ${number(1000 * robot.robot.loopPeriodS, 1)} ms; a log tells the truth.`,
      freshness: null,
    }),
  props: () => Promise.resolve({}),
};
