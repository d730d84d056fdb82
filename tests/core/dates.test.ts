import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import { knowledgeAge } from '../../src/core/text/freshness';
import { clockIn, dayIn, daysBetween, instantIn, isZone } from '../../src/core/text/dates';
import { PLAIN_DISPLAY, setDisplaySettings } from '../../src/core/text/displaySettings';
import { readCsvTable } from '../../src/formats/csv/csvTable';
import { guessRunColumns, readRuns } from '../../src/formats/csv/runsCsv';

const ZONES = ['UTC', 'Europe/Berlin', 'America/St_Johns', 'Asia/Kathmandu', 'Pacific/Auckland'];
afterEach(() => setDisplaySettings(PLAIN_DISPLAY));

describe('days and clock times in a zone', () => {
  it('are those of that zone’s clocks, whatever clock the computer has', () => {
    const evening = '2026-11-12T23:30:00.000Z';
    expect(dayIn(evening, 'UTC')).toBe('2026-11-12');
    expect(dayIn(evening, 'Europe/Berlin')).toBe('2026-11-13');
    expect(clockIn(evening, 'Europe/Berlin')).toBe('00:30');
    // Half an hour off the hour, and summer time in November.
    expect(clockIn(evening, 'America/St_Johns')).toBe('20:00');
    expect(clockIn(evening, 'Pacific/Auckland')).toBe('12:30');
    expect(clockIn('2026-07-01T12:00:00.000Z', 'Europe/Berlin')).toBe('14:00');
  });

  it('are what the engine’s own clock of that zone shows, at any second of these years', () => {
    const second = fc.integer({ min: Date.UTC(2012, 0) / 1000, max: Date.UTC(2037, 0) / 1000 });
    fc.assert(
      fc.property(second, fc.constantFrom(...ZONES, 'Australia/Lord_Howe'), (at, timeZone) => {
        const instant = new Date(at * 1000);
        const shown = instant.toLocaleString('sv-SE', { timeZone });
        expect(`${dayIn(instant, timeZone)} ${clockIn(instant, timeZone)}`).toBe(
          shown.slice(0, 16),
        );
      }),
    );
  });

  it('lead back to the instant, but for the hours in which clocks are changed', () => {
    const minute = fc.integer({ min: Date.UTC(2020, 0) / 60_000, max: Date.UTC(2035, 0) / 60_000 });
    fc.assert(
      fc.property(minute, fc.constantFrom(...ZONES), (at, zone) => {
        const instant = new Date(at * 60_000);
        const local = `${dayIn(instant, zone)}T${clockIn(instant, zone)}`;
        const back = instantIn(local, zone);
        const apart = Math.abs((back?.getTime() ?? 0) - instant.getTime());
        // An hour that comes twice is one of both.
        expect([0, 3_600_000]).toContain(apart);
        expect(back && `${dayIn(back, zone)}T${clockIn(back, zone)}`).toBe(local);
      }),
    );
  });

  it('are counted by the calendar: an evening and the next morning are a day apart', () => {
    const [evening, morning] = [new Date('2026-11-12T21:00:00Z'), new Date('2026-11-13T05:00:00Z')];
    expect(daysBetween(evening, morning, 'UTC')).toBe(1);
    expect(daysBetween(evening, morning, 'Pacific/Auckland')).toBe(0);
    expect(knowledgeAge(evening, morning, '').text).toBe('yesterday');
    setDisplaySettings({ ...PLAIN_DISPLAY, timeZone: 'Pacific/Auckland' });
    expect(knowledgeAge(evening, morning, '').text).toBe('today');
  });

  it('know which zones there are', () => {
    expect(ZONES.every(isZone)).toBe(true);
    expect(['', 'Winter Garden', 'Europe/Nowhere'].some(isZone)).toBe(false);
    expect(instantIn('yesterday', 'UTC')).toBeNull();
  });
});

describe('times in a file of runs', () => {
  it('without a zone are the team’s', () => {
    setDisplaySettings({ ...PLAIN_DISPLAY, timeZone: 'Europe/Berlin' });
    const read = (when: string) => {
      const table = readCsvTable(new TextEncoder().encode(`happened_at,worked\n${when},1\n`));
      return readRuns(table, guessRunColumns(table.header, []))[0]?.run?.happenedAt;
    };
    expect(read('2026-11-14T14:10')).toBe('2026-11-14T13:10:00.000Z');
    expect(read('2026-11-14 14:10')).toBe('2026-11-14T13:10:00.000Z');
    expect(read('2026-11-14')).toBe('2026-11-13T23:00:00.000Z');
    expect(read('2026-11-14T14:10Z')).toBe('2026-11-14T14:10:00.000Z');
    expect(read('2026-11-14T14:10+05:45')).toBe('2026-11-14T08:25:00.000Z');
  });
});
