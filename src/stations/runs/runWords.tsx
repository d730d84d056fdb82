import { headingInList, smallPlaceText } from '../../core/text/quantities';
import type { RunRecord } from '../../formats/records';
import styles from './log/LogStation.module.css';

/** By its number a run of a series is found in the address of the series. */
export const ANCHOR = 'run-';
export const anchorOf = (number: number): string => `${ANCHOR}${number}`;

/** Where a run ended, from where it should have. */
export const endText = (run: Pick<RunRecord, 'endXM' | 'endYM' | 'endHeadingRad'>): string =>
  run.endXM === null || run.endYM === null
    ? 'no end measured'
    : `${smallPlaceText(run.endXM, run.endYM)}${
        run.endHeadingRad === null ? '' : `, ${headingInList(run.endHeadingRad)}`
      }`;

/** Whether a run worked, as a sign. */
export const WorkedMark = ({ worked }: { worked: boolean | null }) =>
  worked === null ? (
    <span>
      ·<span className="visually-hidden">not judged</span>
    </span>
  ) : worked ? (
    <span className={styles.good}>
      ✓<span className="visually-hidden">worked</span>
    </span>
  ) : (
    <span className={styles.bad}>
      ✕<span className="visually-hidden">failed</span>
    </span>
  );
