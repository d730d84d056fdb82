import { knowledgeAge } from '../text/freshness';
import { measuredDrift } from './driftText';
import type { StillVerdict } from './still/stillVerdict';

/** A drift of another day was another power-up's: it says nothing about today's runs. */
export const DRIFT_HOLDS_MS = 12 * 3_600_000;

/** The last still check of a heading sensor. */
interface LastCheck {
  takenAt: string;
  result: { verdict: StillVerdict; driftRadPerS: number; low95: number; high95: number };
}

/** What comes before anything that goes by the heading. */
export interface CreepFirst {
  /** The procedure of the Bench that comes first. */
  id: 're-zero' | 'still';
  /** As in "Worth doing next: Getting rid of drift, 5 minutes: …". */
  why: string;
}

/**
 * Whether a heading is known to creep by more than a healthy sensor does: then turns, squares and drives that hold it
 * measure the creep above all. Of another day's power-up only a new check tells.
 *
 * @returns null where no check says so
 */
export function creepFirst(last: LastCheck | undefined, now: Date): CreepFirst | null {
  if (last?.result.verdict !== 're-zero') return null;
  const drift = measuredDrift(last.result);
  const takenAt = new Date(last.takenAt);
  return now.getTime() - takenAt.getTime() < DRIFT_HOLDS_MS
    ? { id: 're-zero', why: `the heading creeps by ${drift}: start the sensor anew first` }
    : {
        id: 'still',
        why: `the heading crept by ${drift} at its last check (${knowledgeAge(takenAt, now, '').text}): check it again first`,
      };
}
