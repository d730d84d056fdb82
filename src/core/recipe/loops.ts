import { SETTLE_S } from '../control/settings';
import { typed } from './figure';
import type { Line } from './lines';

/** What is done besides in each round of a loop, and before its first. */
export interface Interrupts {
  before: Line[];
  each: Line[];
}

export const NO_INTERRUPTS: Interrupts = { before: [], each: [] };

/** A loop that is left from within. */
export const loopOf = (each: readonly Line[], loop: Line): Line[] => ['repeat:', [...each, loop]];

export const LEAVE: Line = 'leave the loop';
export const leaveIf = (condition: string): Line[] => [`if ${condition}:`, [LEAVE]];

/** What a motion does when its time is over; left out: it has failed. */
export type OnTimeout = 'fail' | 'go-on' | 'again' | undefined;

/** Is 0 after a motion whose time was over, and which is made once more then. */
export const IN_TIME = 'IN TIME';

export const timeOverLines = (onTimeout: OnTimeout): Line[] => {
  if (onTimeout === 'again') return [`set ${IN_TIME} to 0`, LEAVE];
  return [onTimeout === 'go-on' ? LEAVE : 'give up'];
};

/** After its time a motion has failed, or it goes on, or is made once more. */
export const limitLines = (onTimeout: OnTimeout): Line[] => [
  'if timer > LIMIT:',
  timeOverLines(onTimeout),
];

/** The motors stop, and the robot comes to rest. */
export const STOPPED: Line[] = ['stop both motors', `wait ${typed(SETTLE_S, 2)} s`];

/** A motion: what is noted first, what is done in each round until it is left, and its stop, or what is noted instead. */
export const motionLines = (
  before: readonly Line[],
  each: readonly Line[],
  { before: alsoBefore, each: alsoEach }: Interrupts,
  loop: Line,
  after: readonly Line[] = STOPPED,
): Line[] => [
  'restart the timer',
  ...alsoBefore,
  ...before,
  ...loopOf([...alsoEach, ...each], loop),
  ...after,
];
