import { radiansFromDegrees } from '../core/geometry/angle';
import type { GaugeTrialRecord, SpeedTrialRecord, SquaringTrialRecord } from './benchRecords';
import { readSmallCsv, type WantedColumn } from './smallCsv';
import type { ReadRecords } from './trialsCsv';

const column = (name: string, min: number, max: number): WantedColumn => ({
  key: name,
  heading: new RegExp(`^${name}$`, 'i'),
  name,
  number: { min, max },
});
const text = (name: string): WantedColumn => ({
  key: name,
  heading: new RegExp(`^${name}$`, 'i'),
  name,
});

type Row = Record<string, number | string>;

/** Every row of a file as a record of its own. */
async function recordsOf<T>(
  file: File,
  newId: () => string,
  columns: WantedColumn[],
  toRecord: (values: Row) => Omit<T, 'id' | 'setAsideReason'>,
): Promise<ReadRecords<T>> {
  const { rows, bad } = await readSmallCsv(file, columns);
  const records = rows.map(
    ({ values }) => ({ ...toRecord(values), id: newId(), setAsideReason: null }) as T,
  );
  return { records, bad };
}

const degrees = (value: number | string | undefined) => radiansFromDegrees(Number(value));

/** Timed drives from a CSV file with power_percent, battery_V, distance_mm (0: it stood) and time_s. */
export const readSpeeds = (file: File, newId: () => string) =>
  recordsOf<SpeedTrialRecord>(
    file,
    newId,
    [
      column('power_percent', 0.1, 100),
      column('battery_V', 1, 60),
      column('distance_mm', 0, 20_000),
      column('time_s', 0.1, 120),
    ],
    (values) => ({
      command: Number(values.power_percent) / 100,
      batteryV: Number(values.battery_V),
      distanceM: Number(values.distance_mm) / 1000,
      timeS: Number(values.time_s),
    }),
  );

/** Presses against a wall from a CSV file with power_percent, time_s, before_deg and after_deg. */
export const readSquarings = (file: File, newId: () => string) =>
  recordsOf<SquaringTrialRecord>(
    file,
    newId,
    [
      column('power_percent', 0.1, 100),
      column('time_s', 0.05, 20),
      column('before_deg', -90, 90),
      column('after_deg', -90, 90),
    ],
    (values) => ({
      power: Number(values.power_percent) / 100,
      timeS: Number(values.time_s),
      beforeRad: degrees(values.before_deg),
      afterRad: degrees(values.after_deg),
    }),
  );

/** Readings of the same things by several persons from a CSV file with part, person and reading_cm. */
export const readGauge = (file: File, newId: () => string) =>
  recordsOf<GaugeTrialRecord>(
    file,
    newId,
    [text('part'), text('person'), column('reading_cm', -1000, 3000)],
    (values) => ({
      part: String(values.part).slice(0, 40),
      person: String(values.person).slice(0, 40),
      valueM: Number(values.reading_cm) / 100,
    }),
  );
