import { radiansFromDegrees } from '../../core/geometry/angle';
import { rateFromCommand, type TurnKind } from '../../core/program/turnRate';
import type { Robot } from '../../core/robot/robot';
import type { LapRecord, RangeTrialRecord, TurnTrialRecord } from '../benchRecords';
import { readSmallCsv, type WantedColumn } from './smallCsv';
import type { BadLine } from '../readings';

const degrees = (max: number) => ({ min: -max, max });

const TURN_COLUMNS: WantedColumn[] = [
  { key: 'target', heading: /^target_deg$/i, name: 'target_deg', number: degrees(745) },
  { key: 'actual', heading: /^actual_deg$/i, name: 'actual_deg', number: degrees(745) },
  {
    key: 'rate',
    heading: /^rate_deg_per_s$/i,
    name: 'rate_deg_per_s',
    optional: true,
    number: { min: 3, max: 1100 },
  },
  {
    key: 'motor',
    heading: /^motor_deg_per_s$/i,
    name: 'motor_deg_per_s',
    optional: true,
    number: { min: 1, max: 1e6 },
  },
  {
    key: 'power',
    heading: /^power_percent$/i,
    name: 'power_percent',
    optional: true,
    number: { min: 1, max: 100 },
  },
  { key: 'kind', heading: /^kind$/i, name: 'kind', optional: true },
  {
    key: 'duration',
    heading: /^duration_s$/i,
    name: 'duration_s',
    optional: true,
    number: { min: 0.01, max: 60 },
  },
  {
    key: 'faced',
    heading: /^faced_deg$/i,
    name: 'faced_deg',
    optional: true,
    number: degrees(720),
  },
  { key: 'place', heading: /^place$/i, name: 'place', optional: true },
  {
    key: 'reading',
    heading: /^reading_deg$/i,
    name: 'reading_deg',
    optional: true,
    number: degrees(745),
  },
];

const LAP_COLUMNS: WantedColumn[] = [
  { key: 'direction', heading: /^direction$/i, name: 'direction (cw or ccw)' },
  { key: 'x', heading: /^return_x_mm$/i, name: 'return_x_mm', number: degrees(5000) },
  { key: 'y', heading: /^return_y_mm$/i, name: 'return_y_mm', number: degrees(5000) },
  {
    key: 'heading',
    heading: /^return_heading_deg$/i,
    name: 'return_heading_deg',
    number: degrees(180),
  },
  {
    key: 'goesOn',
    heading: /^goes_on$/i,
    name: 'goes_on',
    optional: true,
    oneOf: ['yes', 'no'],
  },
];

const RANGE_COLUMNS: WantedColumn[] = [
  { key: 'unit', heading: /^unit$/i, name: 'unit' },
  { key: 'tape', heading: /^tape_cm$/i, name: 'tape_cm', number: { min: 0, max: 1000 } },
  {
    key: 'reading',
    heading: /^reading_cm$/i,
    name: 'reading_cm',
    optional: true,
    number: { min: -100, max: 3000 },
  },
  {
    key: 'volts',
    heading: /^reading_v$/i,
    name: 'reading_v',
    optional: true,
    number: { min: 0, max: 60 },
  },
  {
    key: 'turned',
    heading: /^turned_deg$/i,
    name: 'turned_deg',
    optional: true,
    number: degrees(68),
  },
];

/** Rows of a file as records, and the lines that are none. */
export interface ReadRecords<T> {
  records: T[];
  bad: BadLine[];
}

type Row = Record<string, number | string>;

/** How fast it turned: as a rate, or as the program told its motors. A sentence says why it cannot be told. */
function rateOf(values: Row, kind: TurnKind, robot: Robot): number | string {
  if (values.rate !== undefined) return radiansFromDegrees(Number(values.rate));
  if (values.motor !== undefined) {
    return rateFromCommand(robot, kind, 'degrees per second', Number(values.motor)) ?? '';
  }
  if (values.power === undefined) {
    return 'it says neither rate_deg_per_s nor motor_deg_per_s nor power_percent';
  }
  const rate = rateFromCommand(robot, kind, 'percent', Number(values.power));
  return (
    rate ??
    `power_percent: how fast it is at ${values.power} % was not timed; time a drive below and one above it (Bench: Speed at a power)`
  );
}

/**
 * Turn trials from a CSV file with target_deg, actual_deg (right turns negative), and rate_deg_per_s,
 * motor_deg_per_s or power_percent.
 */
export async function readTurnTrials(
  file: File,
  newId: () => string,
  robot: Robot,
): Promise<ReadRecords<TurnTrialRecord>> {
  const { rows, bad } = await readSmallCsv(file, TURN_COLUMNS);
  const records: TurnTrialRecord[] = [];
  for (const { line, values } of rows) {
    const [target, actual] = [Number(values.target), Number(values.actual)];
    if (target === 0) bad.push({ line, why: 'target_deg is 0: that is no turn' });
    else if (values.kind !== undefined && values.kind !== 'spin' && values.kind !== 'pivot') {
      bad.push({ line, why: `kind: “${values.kind}” is neither spin nor pivot` });
    } else {
      const kind = values.kind === 'pivot' ? 'pivot' : 'spin';
      const rateRadPerS = rateOf(values, kind, robot);
      if (typeof rateRadPerS === 'string') {
        bad.push({ line, why: rateRadPerS });
        continue;
      }
      records.push({
        id: newId(),
        targetRad: radiansFromDegrees(target),
        actualRad: radiansFromDegrees(actual),
        seen: null,
        wantedRad: null,
        rateRadPerS,
        kind,
        durationS: values.duration === undefined ? null : Number(values.duration),
        facedRad: values.faced === undefined ? null : radiansFromDegrees(Number(values.faced)),
        place: String(values.place ?? '').slice(0, 40),
        afterDrive: null,
        times: 1,
        readingSdRad: null,
        readingRad:
          values.reading === undefined ? null : radiansFromDegrees(Number(values.reading)),
        measuredBy: 'file',
        setAsideReason: null,
      });
    }
  }
  return { records, bad };
}

/** Laps of a square from a CSV file with direction, return_x_mm, return_y_mm, return_heading_deg. */
export async function readLaps(file: File, newId: () => string): Promise<ReadRecords<LapRecord>> {
  const { rows, bad } = await readSmallCsv(file, LAP_COLUMNS);
  const records: LapRecord[] = [];
  for (const { line, values } of rows) {
    const direction = String(values.direction).toLowerCase();
    if (direction !== 'cw' && direction !== 'ccw') {
      bad.push({ line, why: `direction: “${direction.slice(0, 20)}” is neither cw nor ccw` });
      continue;
    }
    records.push({
      id: newId(),
      direction,
      xM: Number(values.x) / 1000,
      yM: Number(values.y) / 1000,
      headingRad: radiansFromDegrees(Number(values.heading)),
      goesOn: values.goesOn === 'yes',
      driven: null,
      setAsideReason: null,
    });
  }
  return { records, bad };
}

/** Readings of distance sensors from a CSV file with unit, tape_cm and reading_cm or reading_v (empty: the echo was lost). */
export async function readRanges(
  file: File,
  newId: () => string,
): Promise<ReadRecords<RangeTrialRecord>> {
  const { rows, bad } = await readSmallCsv(file, RANGE_COLUMNS);
  return {
    records: rows.map(({ values }) => ({
      id: newId(),
      unit: String(values.unit).slice(0, 40),
      trueM: Number(values.tape) / 100,
      readingM: values.reading === undefined ? null : Number(values.reading) / 100,
      readingV: values.volts === undefined ? null : Number(values.volts),
      turnedRad: radiansFromDegrees(Number(values.turned ?? 0)),
      setAsideReason: null,
    })),
    bad,
  };
}
