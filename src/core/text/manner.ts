/** In what lengths are said: cm with mm for the errors of runs; or mm, or inches, throughout. */
export const LENGTH_NAMES = ['cm', 'mm', 'in'] as const;
export type LengthName = (typeof LENGTH_NAMES)[number];

/** The turn that counts as positive. */
export const TURN_SIDES = ['left', 'right'] as const;
export type TurnSide = (typeof TURN_SIDES)[number];

/** What stands between whole and parts of a number. */
export const DECIMAL_SIGNS = ['.', ','] as const;
export type DecimalSign = (typeof DECIMAL_SIGNS)[number];

/** How a team wants things to be said. */
export interface Manner {
  timeZone: string;
  length: LengthName;
  positiveTurn: TurnSide;
  decimalSign: DecimalSign;
  /** Nicknames of those at the table, offered where somebody is named. */
  names: readonly string[];
}

export const PLAIN_MANNER: Manner = {
  timeZone: 'UTC',
  length: 'cm',
  positiveTurn: 'left',
  decimalSign: '.',
  names: [],
};

let manner: Manner = PLAIN_MANNER;

/** It surrounds all that is said, as a language does: a process serves one team. */
export const teamManner = (): Manner => manner;

export function setTeamManner(next: Manner): void {
  manner = next;
}

export const teamNames = (): readonly string[] => manner.names;

export const teamZone = (): string => manner.timeZone;
