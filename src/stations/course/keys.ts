import { errorLength } from '../../core/text/quantities';
import type { KeyMeaning } from '../../ui/page/KeyHelp';

/** The keys of the route's screen. */
export const courseKeys = (): KeyMeaning[] => [
  { keys: ['s'], does: 'simulate 400 runs' },
  { keys: ['Ctrl', 'z'], does: 'undo (outside of fields)' },
  { keys: ['Ctrl', 'y'], does: 'redo' },
  { keys: ['Alt', 'Enter'], does: 'in a step: on to the kinds of step, to add one after it' },
  { keys: ['Alt', '↑ ↓'], does: 'move the step up or down' },
  { keys: ['↑ ↓'], does: 'in a field: the value a step up or down' },
  {
    keys: ['↑ ↓ ← →'],
    does: `on the start: move it by ${errorLength(0.005)}, with Shift by ${errorLength(0.001)}`,
  },
  { keys: [',', '.'], does: 'on the start: turn it by 1°' },
  { keys: ['?'], does: 'this list' },
];
