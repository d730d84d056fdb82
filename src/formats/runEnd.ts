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
