import type { RunRecord } from '../../../formats/records';

/** One run while it is being entered. */
export interface Entry {
  /** Made once, so that the same run sent twice is one run. */
  id: string;
  /** Of the run that is being corrected; 0 for a new one. */
  version: number;
  /** When a corrected run was made; null for one that is made now. */
  happenedAt: string | null;
  missions: Record<string, boolean>;
  /** Whether the run as a whole worked, where no mission says so; null: nobody has said it yet. */
  worked: boolean | null;
  endXM: number | null;
  endYM: number | null;
  endHeadingRad: number | null;
  placedBy: string;
  battery: string;
  batteryV: number | null;
  cause: string | null;
  note: string;
}

/** What stays from run to run. */
interface Sticky {
  placedBy: string | null;
  battery: string | null;
}

/** A new run: nothing is said of it yet; placer and battery as before. */
export const newEntry = (id: string, sticky: Sticky): Entry => ({
  id,
  version: 0,
  happenedAt: null,
  missions: {},
  worked: null,
  endXM: null,
  endYM: null,
  endHeadingRad: null,
  placedBy: sticky.placedBy ?? '',
  battery: sticky.battery ?? '',
  batteryV: null,
  cause: null,
  note: '',
});

/** Everything worked: every mission, or the run where there are none. */
export const allWorked = (entry: Entry, missionIds: readonly string[]): Entry => ({
  ...entry,
  worked: true,
  missions: Object.fromEntries(missionIds.map((mission) => [mission, true])),
});

/** Worked, failed, not tried, and again. */
export function toggleMission(entry: Entry, missionId: string): Entry {
  const { [missionId]: now, ...others } = entry.missions;
  if (now === true) return { ...entry, missions: { ...others, [missionId]: false } };
  if (now === false) return { ...entry, missions: others };
  return { ...entry, missions: { ...others, [missionId]: true } };
}

/** The run as a whole: every mission that was tried worked; without missions, what was said; null: nothing. */
export function workedAsAWhole(entry: Entry): boolean | null {
  const results = Object.values(entry.missions);
  return results.length > 0 ? results.every(Boolean) : entry.worked;
}

const textOrNull = (text: string) => (text.trim() === '' ? null : text.trim());

/** Where the end was given: an axis left empty beside a typed one is 0. */
export const endOf = ({ endXM, endYM }: Entry) =>
  endXM === null && endYM === null ? null : { xM: endXM ?? 0, yM: endYM ?? 0 };

export function toRun(entry: Entry, seriesId: string): RunRecord {
  const end = endOf(entry);
  const worked = workedAsAWhole(entry);
  return {
    id: entry.id,
    version: entry.version,
    seriesId,
    happenedAt: entry.happenedAt ?? new Date().toISOString(),
    placedBy: textOrNull(entry.placedBy),
    battery: textOrNull(entry.battery),
    batteryV: entry.batteryV,
    endXM: end?.xM ?? null,
    endYM: end?.yM ?? null,
    endHeadingRad: entry.endHeadingRad,
    worked,
    missions: entry.missions,
    cause: worked === false ? entry.cause : null,
    note: textOrNull(entry.note),
    setAsideReason: null,
  };
}

/** A logged run back in the form, under its own id or a new one. */
export const entryOf = (run: RunRecord, id: string, version: number): Entry => ({
  id,
  version,
  happenedAt: run.happenedAt,
  missions: run.missions,
  worked: run.worked,
  endXM: run.endXM,
  endYM: run.endYM,
  endHeadingRad: run.endHeadingRad,
  placedBy: run.placedBy ?? '',
  battery: run.battery ?? '',
  batteryV: run.batteryV,
  cause: run.cause,
  note: run.note ?? '',
});

/** The next of a few names, in a circle. */
export function nextName(names: readonly string[], now: string): string {
  return names[(names.indexOf(now) + 1) % Math.max(1, names.length)] ?? now;
}
