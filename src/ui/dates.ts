import { clockIn, dayIn, instantIn } from '../core/text/dates';
import { teamZone as zone } from '../core/text/displaySettings';

import './displaySettings';

/** "2026-11-12" */
export const dayOf = (instant: string | Date): string => dayIn(instant, zone());

/** "16:21" */
export const clockOf = (instant: string | Date): string => clockIn(instant, zone());

/** "2026-11-12 16:21" */
export const dayAndClockOf = (instant: string | Date): string =>
  `${dayOf(instant)} ${clockOf(instant)}`;

/** As the browser's own field for a day and a time has it: "2026-11-12T16:21". */
export const localOf = (instant: string): string => `${dayOf(instant)}T${clockOf(instant)}`;

/** The instant that is typed as a day and a time of the team's zone; null for none. */
export const instantOf = (local: string): string | null =>
  instantIn(local, zone())?.toISOString() ?? null;
