import { counted } from '../text/quantities';

/** How far a series is: of what was planned, or beyond it. */
export const progressText = (used: number, planned: number): string =>
  used <= planned
    ? `${counted(used, 'run')} of ${planned} logged`
    : `${counted(used, 'run')} logged, ${used - planned} more than planned`;

/** What the next run of a series is called. */
export const nextRunText = (used: number, planned: number): string =>
  used < planned
    ? `Run ${used + 1} of ${planned}`
    : `Run ${used + 1}, beyond the ${planned} planned`;

/** Its runs as a figure: "10 of 30", or "40, 30 planned". */
export const progressFigure = (used: number, planned: number): [string, string] =>
  used <= planned ? [String(used), `of ${planned}`] : [String(used), `${planned} planned`];
