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
export interface DisplaySettings {
  timeZone: string;
  length: LengthName;
  positiveTurn: TurnSide;
  decimalSign: DecimalSign;
  /** Nicknames of those at the table, offered where somebody is named. */
  names: readonly string[];
}

export const PLAIN_DISPLAY: DisplaySettings = {
  timeZone: 'UTC',
  length: 'cm',
  positiveTurn: 'left',
  decimalSign: '.',
  names: [],
};

let ofProcess: DisplaySettings = PLAIN_DISPLAY;
let source = (): DisplaySettings => ofProcess;

/**
 * They surround all that is said, as a language does: a page and a worker have those of their team, the server those
 * of the request that it answers.
 */
export const displaySettings = (): DisplaySettings => source();

/** For a process that speaks to one team alone: a page, a worker, a script. */
export function setDisplaySettings(next: DisplaySettings): void {
  ofProcess = next;
}

/** For a process that speaks to many: where those stand that hold now; null where it is nobody's turn. */
export function readDisplaySettingsFrom(now: () => DisplaySettings | null): void {
  source = () => now() ?? ofProcess;
}

export const teamNames = (): readonly string[] => displaySettings().names;

export const teamZone = (): string => displaySettings().timeZone;
