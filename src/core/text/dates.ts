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

function partsIn(instant: string | Date, zone: string): Record<string, string> {
  const parts = formatOf(zone).formatToParts(new Date(instant));
  return Object.fromEntries(parts.map(({ type, value }) => [type, value]));
}

/** The calendar day of an instant in a zone: "2026-11-12". */
export function dayIn(instant: string | Date, zone: string): string {
  const { year = '', month = '', day = '' } = partsIn(instant, zone);
  return `${year}-${month}-${day}`;
}

/** The clock time of an instant in a zone: "16:21". */
export function clockIn(instant: string | Date, zone: string): string {
  const { hour = '', minute = '' } = partsIn(instant, zone);
  return `${hour}:${minute}`;
}

/** So far a zone's clocks are ahead of UTC at an instant, ms. */
function aheadMs(instantMs: number, zone: string): number {
  const { year, month, day, hour, minute, second } = partsIn(new Date(instantMs), zone);
  const shown = Date.parse(`${year}-${month}-${day}T${hour}:${minute}:${second}Z`);
  return shown - Math.floor(instantMs / 1000) * 1000;
}

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
