import { gridM } from '../../../core/text/lengths';
import { benchLength } from '../../../core/text/quantities';
import type { Comparison } from '../../../core/compare/compareSeries';
import { compareSentence, couldHide, moreRunsSentence } from '../../../core/compare/sentence';
import { counted } from '../../../core/text/quantities';
import findings from '../Findings.module.css';
import { CloudPicture, PAGE_COLOURS, type Cloud } from './CloudPicture';
import styles from './Compare.module.css';
import { CompareFigures } from './CompareFigures';

interface Props {
  before: Cloud;
  after: Cloud;
  comparison: Comparison | null;
  unfair: string | null;
  /** Of this comparison, for its files. */
  query: string;
}

/** Did it help? One sentence, both clouds on one plan, and what could still hide. */
export function CompareView({ before, after, comparison, unfair, query }: Props) {
  const hidden = comparison === null ? [] : couldHide(comparison);
  const more = comparison === null ? null : moreRunsSentence(comparison);
  return (
    <>
      <div className={findings.verdict} data-testid="compare-verdict">
        <p className={findings.found}>{compareSentence(comparison)}</p>
        {unfair !== null && (
          <p className={styles.unfair} role="note">
            {unfair}
          </p>
        )}
      </div>
      <div className={styles.columns}>
        <figure className={styles.picture}>
          <CloudPicture
            {...{ before, after }}
            label="Where the runs of both ended; up is the direction of travel"
            colours={PAGE_COLOURS}
          />
          <figcaption>
            <span>○ before: {before.name}</span>
            <span>◆ after: {after.name}</span>
            <span>+ planned end, ↑ the way it drives</span>
            <span>outlines: 95 of 100 runs; a square is {benchLength(gridM())}</span>
          </figcaption>
        </figure>
        <div>
          {hidden.length > 0 && (
            <>
              <h2>What could still hide</h2>
              <p>Of these no difference is shown; within these limits there may be one:</p>
              <ul>
                {hidden.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
              {more !== null && <p>{more}</p>}
            </>
          )}
          <p className="faint">
            {counted(before.ends.length, 'run')} before, {after.ends.length} after; those set aside
            are left out.
          </p>
          <p className="no-print">
            <a href={`/findings/compare/markdown?${query}`}>Markdown with the picture</a> ·{' '}
            <a href={`/findings/compare/csv?${query}`}>CSV of all runs</a>
          </p>
          {comparison !== null && <CompareFigures comparison={comparison} />}
        </div>
      </div>
    </>
  );
}
