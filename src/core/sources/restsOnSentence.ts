/** What one figure of a robot rests on. */
export interface RestsOn {
  name: string;
  /** What is computed with; null where no figure stands for it. */
  figure: string | null;
  /** Within what of it the truth is, 19 times in 20. */
  within: string;
  isMeasured: boolean;
  /** "measured 2026-11-12, 16 trials", or "a guess" */
  by: string;
  /** The procedure of the Bench that measures it; null: none. */
  procedure: string | null;
}

/** How much of it is known, in a sentence. */
export const restsOnSentence = (rows: readonly RestsOn[]): string => {
  const measured = rows.filter(({ isMeasured }) => isMeasured).length;
  if (measured === 0) return 'Nothing of it is measured yet: all figures are guesses';
  return measured === rows.length
    ? 'All of it is measured'
    : `${measured} of ${rows.length} figures are measured, the rest are guesses`;
};
