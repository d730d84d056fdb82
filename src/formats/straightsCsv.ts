import { radiansFromDegrees } from '../core/geometry/angle';
import { STRAIGHT_SCHOOLS } from './benchConstants';
import type { StraightTrialRecord } from './benchRecords';
import { readSmallCsv, type WantedColumn } from './smallCsv';
import type { ReadRecords } from './trialsCsv';

const millimetres = { min: -10_000, max: 10_000 };

const THE_OTHER_WAY = 'the other way';

const STRAIGHT_COLUMNS: WantedColumn[] = [
  { key: 'told', heading: /^commanded_mm$/i, name: 'commanded_mm', number: millimetres },
  { key: 'actual', heading: /^actual_mm$/i, name: 'actual_mm', number: millimetres },
  {
    key: 'sideways',
    heading: /^sideways_mm$/i,
    name: 'sideways_mm',
    optional: true,
    number: { min: -5000, max: 5000 },
  },
  {
    key: 'speed',
    heading: /^speed_mm_per_s$/i,
    name: 'speed_mm_per_s',
    number: { min: 10, max: 5000 },
  },
  {
    key: 'turned',
    heading: /^turned_deg$/i,
    name: 'turned_deg',
    optional: true,
    number: { min: -180, max: 180 },
  },
  {
    key: 'keptBy',
    heading: /^kept_by$/i,
    name: 'kept_by',
    optional: true,
    oneOf: [...STRAIGHT_SCHOOLS],
  },
  {
    key: 'before',
    heading: /^before_it$/i,
    name: 'before_it',
    optional: true,
    oneOf: ['the same way', THE_OTHER_WAY],
  },
];

/** Straight drives from a CSV file: told, true, and if they were measured to the side, turned, and kept straight by. */
export async function readStraights(
  file: File,
  newId: () => string,
): Promise<ReadRecords<StraightTrialRecord>> {
  const { rows, bad } = await readSmallCsv(file, STRAIGHT_COLUMNS);
  const records: StraightTrialRecord[] = [];
  for (const { line, values } of rows) {
    if (Number(values.told) === 0) {
      bad.push({ line, why: 'commanded_mm is 0: that is no drive' });
      continue;
    }
    records.push({
      id: newId(),
      commandedM: Number(values.told) / 1000,
      actualM: Number(values.actual) / 1000,
      sidewaysM: values.sideways === undefined ? null : Number(values.sideways) / 1000,
      headingChangeRad:
        values.turned === undefined ? null : radiansFromDegrees(Number(values.turned)),
      keptBy: STRAIGHT_SCHOOLS.find((school) => school === values.keptBy) ?? null,
      speedMPerS: Number(values.speed) / 1000,
      afterReversal: values.before === THE_OTHER_WAY,
      setAsideReason: null,
    });
  }
  return { records, bad };
}
