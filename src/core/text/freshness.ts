import { daysBetween } from './dates';
import { teamZone } from './displaySettings';

/** How far a station's knowledge can be relied on, by the age of what it rests on. */
export interface Freshness {
  text: string;
  state: 'fresh' | 'ageing' | 'missing';
}

/** After a week robots have been rebuilt, batteries have aged and people have forgotten. */
const AGEING_AFTER_DAYS = 7;

/** The age of knowledge in words, by calendar days where the team is. */
export function knowledgeAge(from: Date | null, now: Date, whenMissing: string): Freshness {
  if (from === null) return { text: whenMissing, state: 'missing' };
  const days = Math.max(0, daysBetween(from, now, teamZone()));
  const text = days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days old`;
  return { text, state: days > AGEING_AFTER_DAYS ? 'ageing' : 'fresh' };
}
