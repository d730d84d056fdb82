import type { SavedRun } from '../records';

/** What pictures and comparisons need of a run: long series are read without the rest. */
export type LoggedEnd = Pick<
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

/** The end of a run, where it was measured and the run is not set aside. */
export const placedEnd = ({
  number,
  endXM,
  endYM,
  worked,
  setAsideReason,
}: SavedRun): PlacedEnd[] =>
  endXM === null || endYM === null || setAsideReason !== null
    ? []
    : [{ number, endXM, endYM, worked }];

/** An end as it is kept: number, x and y in metres, whether it worked. */
export type PackedEnd = [number: number, xM: number, yM: number, worked: boolean | null];

export const packed = ({ number, endXM, endYM, worked }: PlacedEnd): PackedEnd => [
  number,
  endXM,
  endYM,
  worked,
];

export const unpacked = ([number, endXM, endYM, worked]: PackedEnd): PlacedEnd => ({
  number,
  endXM,
  endYM,
  worked,
});
