import type { RezeroStrategy } from '../robot/rezeroStrategies';

export interface StrategyFacts {
  school: RezeroStrategy;
  title: string;
  /** What it takes at the table, s, where nobody has said; null: as long as this sensor has to stand still. */
  takesS: number | null;
  needs: string;
  /** In the order in which they are done. */
  steps: string[];
  /** When to give up, and what then; after how long, in words. */
  givesUp(after: string): string;
  /** It needs a cable that can be pulled. */
  needsCable?: true;
}

/** The five strategies, in the order in which they are usually tried. */
export const REZERO_FACTS: readonly StrategyFacts[] = [
  {
    school: 'restart',
    title: 'Restart the controller, lying still',
    takesS: 45,
    needs: 'a flat place, and nobody touching the robot',
    steps: [
      'Switch the robot off and put it on the table.',
      'Press the button, take the hand away at once.',
      'Wait until it has started; do not touch it meanwhile.',
      'Start the program, and set the heading to zero.',
    ],
    givesUp: (after) =>
      `Not started after ${after}? Switch it off, count to five, and begin again, once. If it creeps still, take the next way.`,
  },
  {
    school: 'reconnect',
    needsCable: true,
    title: 'Unplug the sensor and plug it in again',
    takesS: 15,
    needs: 'a hand on the cable and a robot that does not move',
    steps: [
      'Hold the robot down on the table.',
      'Pull the sensor’s cable, count to three, plug it in.',
      'Let go, and wait until it reads again.',
      'Set the heading to zero.',
    ],
    givesUp: (after) =>
      `No reading after ${after}? Look whether the cable is in, and in its own port. If it creeps still, restart.`,
  },
  {
    school: 're-initialise',
    title: 'Let the program start the sensor anew',
    takesS: 5,
    needs: 'a program that switches the sensor’s mode and back, and waits',
    steps: [
      'Put the robot down, motors off, hands off.',
      'The program switches the sensor to another mode and back.',
      'It waits until the sensor answers, then until two readings a second apart are the same.',
      'Only then it sets the heading to zero.',
      'After 3 s it reads the heading again: more than a third of a degree means that it creeps on.',
    ],
    givesUp: (after) =>
      `Still no two equal readings after ${after}? The program stops and says so: it must not drive. Then unplug, or restart.`,
  },
  {
    school: 'estimate at start',
    title: 'Measure the drift at the start and subtract it',
    takesS: null,
    needs: 'still seconds before each run, and a line in the program',
    steps: [
      'Put the robot at its start, hands off.',
      'The program reads the heading at the beginning and the end of the still time.',
      'From then on it takes drift × time off every reading.',
    ],
    givesUp: (after) =>
      `Touched meanwhile? Begin the ${after} anew. Touched twice: drive by the sensor as it is, and square up on the way.`,
  },
  {
    school: 're-anchor',
    title: 'Square up on the way and set the heading',
    takesS: 3,
    needs: 'a straight wall or edge that the route passes',
    steps: [
      'Drive gently against something straight until both corners touch.',
      'Set the heading to what the wall says.',
      'Drive on: only the drift since then is left.',
    ],
    givesUp: (after) =>
      `Not both corners after ${after}? The motors stop, and the heading is not set: drive on by the sensor as it is.`,
  },
];
