/** How an attachment finds the angle from which its positions count. */
export const HOMES_BY = {
  nothing: 'it stands as it was left',
  hand: 'by hand',
  stop: 'against a stop',
  switch: 'by a switch',
} as const;
export type HomesBy = keyof typeof HOMES_BY;

/** At which angles a counter jumps back by a whole turn. */
export const ROLL_OVERS = {
  none: { words: 'goes on past a turn', atRad: null },
  half: { words: 'jumps at half a turn', atRad: Math.PI },
  whole: { words: 'jumps at 0 and a whole turn', atRad: 0 },
} as const;
export type RollOver = keyof typeof ROLL_OVERS;

/** What ends a move: with feedback or without. */
export const ENDED_BY = { counter: 'its counter', time: 'a time' } as const;
export type EndedBy = keyof typeof ENDED_BY;
