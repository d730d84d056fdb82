import type { SavedRun } from './records';

/** What pictures and comparisons need of a run: long series are read without the rest. */
export type RunEnd = Pick<
  SavedRun,
  | 'id'
  | 'seriesId'
  | 'number'
  | 'happenedAt'
  | 'placedBy'
  | 'battery'
  | 'endXM'
  | 'endYM'
  | 'worked'
  | 'setAsideReason'
>;

/** Where a run ended that counts: what the picture of one series needs. */
export interface PlacedEnd {
  number: number;
  endXM: number;
  endYM: number;
  worked: boolean | null;
}
