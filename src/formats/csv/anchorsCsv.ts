import { radiansFromDegrees } from '../../core/geometry/angle';
import { readSmallCsv, type WantedColumn } from './smallCsv';
import type { ReadRecords } from './trialsCsv';

const ANCHOR_COLUMNS: WantedColumn[] = [
  { key: 't', heading: /^t_s$/i, name: 't_s', number: { min: -1e6, max: 1e6 } },
  {
    key: 'heading',
    heading: /^true_heading_deg$/i,
    name: 'true_heading_deg',
    number: { min: -100_000, max: 100_000 },
  },
  { key: 'what', heading: /^what$/i, name: 'what', optional: true },
];

/** A moment at which the true heading is known. */
export interface AnchorRow {
  tS: number;
  headingRad: number;
  what: string;
}

/** Anchors from a CSV file with t_s, true_heading_deg and, if there is one, what. */
export async function readAnchors(file: File): Promise<ReadRecords<AnchorRow>> {
  const { rows, bad } = await readSmallCsv(file, ANCHOR_COLUMNS);
  return {
    records: rows.map(({ values }) => ({
      tS: Number(values.t),
      headingRad: radiansFromDegrees(Number(values.heading)),
      what: values.what === undefined ? '' : String(values.what),
    })),
    bad,
  };
}
