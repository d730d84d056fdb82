import type { KeyMeaning } from '../../../ui/page/KeyHelp';
import { MISSION_KEYS } from './MissionToggles';

/** The keys of the logging screen, for a route with so many missions. */
export const logKeys = (missions: number): KeyMeaning[] => [
  missions > 0
    ? {
        keys: missions === 1 ? ['a'] : ['a', `… ${MISSION_KEYS[missions - 1] ?? ''}`],
        does: 'a mission: worked, failed, not tried',
      }
    : { keys: ['w'], does: 'the run: worked or failed' },
  ...(missions > 0 ? [{ keys: ['w'], does: 'everything worked' }] : []),
  { keys: ['x', 'y', 'r'], does: 'type the end in x, in y, the heading; Tab goes on' },
  { keys: ['z'], does: 'to the pad; there the arrow keys move the end' },
  { keys: ['1', '… 9'], does: 'what went wrong first, after a failure' },
  { keys: ['p'], does: 'next person who placed the robot' },
  { keys: ['Enter'], does: 'log the run' },
  { keys: ['Shift Enter'], does: 'everything worked: log it, also from a field' },
  { keys: ['u'], does: 'take the last entry back into the form' },
  { keys: ['t'], does: 'in a plan: on to the way whose turn it is' },
  { keys: ['?'], does: 'this list' },
];
