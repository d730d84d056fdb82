import { radiansFromDegrees } from '../core/geometry/angle';
import { PLACING_WAYS } from '../core/placing/placing';
import type {
  GaugeTrialRecord,
  PlacingTrialRecord,
  SpeedTrialRecord,
  SquaringTrialRecord,
} from './benchRecords';
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

const IN_THE_JIG = ['jig', 'in the jig'];

/** Placings from a CSV file with person, way (jig or hand), nose_along_mm, nose_across_mm and tail_across_mm (left positive). */
export const readPlacings = (file: File, newId: () => string) =>
  recordsOf<PlacingTrialRecord>(
    file,
    newId,
    [
      text('person'),
      { ...text('way'), oneOf: [...IN_THE_JIG, 'hand', 'by hand'] },
      column('nose_along_mm', -5000, 5000),
      column('nose_across_mm', -5000, 5000),
      column('tail_across_mm', -5000, 5000),
    ],
    (values) => ({
      person: String(values.person).slice(0, 40),
      way: PLACING_WAYS[IN_THE_JIG.includes(String(values.way)) ? 0 : 1],
      noseAlongM: Number(values.nose_along_mm) / 1000,
      noseAcrossM: Number(values.nose_across_mm) / 1000,
      tailAcrossM: Number(values.tail_across_mm) / 1000,
    }),
  );
