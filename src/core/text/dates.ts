/*
 * Instants are kept in UTC and shown in the team's time zone, whatever zone a server or a browser is in.
 * Days are written as ISO 8601 writes them.
 */

const formats = new Map<string, Intl.DateTimeFormat>();

/** Formats are costly to make, and always the same few. */
function formatOf(zone: string): Intl.DateTimeFormat {
  const format =
    formats.get(zone) ??
    new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
      second: '2-digit',
    });
  formats.set(zone, format);
  return format;
}

/** What clocks in a zone show at a whole second, as an instant in UTC, ms. */
function shownMs(instantMs: number, zone: string): number {
  const parts = formatOf(zone).formatToParts(new Date(instantMs));
  const { year, month, day, hour, minute, second } = Object.fromEntries(
    parts.map(({ type, value }) => [type, value]),
  );
  return Date.parse(`${year}-${month}-${day}T${hour}:${minute}:${second}Z`);
}

/** Since 2011, clocks everywhere are put forward and back at full quarters of an hour. */
const QUARTER_MS = 900_000;
const MOST_QUARTERS = 20_000;
const aheadAtQuarters = new Map<string, number>();

/** So far a zone's clocks are ahead of UTC at an instant, ms; asked of a zone once for a quarter of an hour. */
function aheadMs(instantMs: number, zone: string): number {
  const quarter = Math.floor(instantMs / QUARTER_MS);
  const key = `${zone} ${quarter}`;
  const known = aheadAtQuarters.get(key);
  if (known !== undefined) return known;
  const ahead = shownMs(quarter * QUARTER_MS, zone) - quarter * QUARTER_MS;
  if (aheadAtQuarters.size >= MOST_QUARTERS) aheadAtQuarters.clear();
  aheadAtQuarters.set(key, ahead);
  return ahead;
}

/** Day and time of an instant as clocks in a zone show them, as ISO 8601 writes them. */
function shownIn(instant: string | Date, zone: string): string {
  const atMs = new Date(instant).getTime();
  return new Date(atMs + aheadMs(atMs, zone)).toISOString();
}

/** The calendar day of an instant in a zone: "2026-11-12". */
export const dayIn = (instant: string | Date, zone: string): string =>
  shownIn(instant, zone).slice(0, 10);

/** The clock time of an instant in a zone: "16:21". */
export const clockIn = (instant: string | Date, zone: string): string =>
  shownIn(instant, zone).slice(11, 16);

/**
 * The instant at which clocks in a zone show a day and a time. In the hour that clocks skip it is the one
 * before, by as much as they skip; in the hour that comes twice, one of both.
 *
 * @param local as "2026-11-12T16:21"
 * @returns null for what is no day and time
 */
export function instantIn(local: string, zone: string): Date | null {
  const asUtc = Date.parse(`${local}Z`);
  if (Number.isNaN(asUtc)) return null;
  const near = asUtc - aheadMs(asUtc, zone);
  return new Date(asUtc - aheadMs(near, zone));
}

/** Whole calendar days in a zone from one instant to another. */
export const daysBetween = (from: Date, to: Date, zone: string): number =>
  Math.round((Date.parse(dayIn(to, zone)) - Date.parse(dayIn(from, zone))) / 86_400_000);

/** Whether an engine knows a time zone by this name. */
export function isZone(name: string): boolean {
  try {
    formatOf(name);
    return true;
  } catch {
    return false;
  }
}
