import { errorScale } from '../../core/text/lengths';
import { dayOf } from '../../ui/dates';
import type { SeriesFindings } from '../../core/runs/findings';
import { progressFigure } from '../../core/runs/progress';
import { percent, errorNumber } from '../../core/text/quantities';
import type { SavedSeries } from '../../formats/records';
import styles from './SeriesList.module.css';

interface Entry {
  series: SavedSeries & { versionNumber: number; routeName: string; robotName: string };
  findings: SeriesFindings;
}

function SeriesRow({ series, findings }: Entry) {
  const { end } = findings;
  const open = end.n < series.plannedRuns;
  const [runs, ofPlanned] = progressFigure(end.n, series.plannedRuns);
  return (
    <li className={styles.row}>
      <div className={styles.what}>
        <h2>
          <a href={`/runs/${series.id}`}>{series.trying}</a>
        </h2>
        <small className="faint">
          {dayOf(series.startedAt)} · {series.robotName} · {series.routeName}, version{' '}
          {series.versionNumber}
          {series.tableLabel !== null && ` · ${series.tableLabel}`}
        </small>
        <p>{findings.verdict.found}</p>
      </div>
      <dl>
        <div>
          <dt>runs</dt>
          <dd>
            {runs} <small>{ofPlanned}</small>
          </dd>
        </div>
        <div>
          <dt>worked</dt>
          <dd>{end.success === null ? '–' : percent(end.success.rate)}</dd>
        </div>
        <div>
          <dt>95 of 100 within</dt>
          <dd>
            {end.r95AboutTargetM === null ? '–' : errorNumber(end.r95AboutTargetM)}{' '}
            <small>{errorScale().label}</small>
          </dd>
        </div>
      </dl>
      <nav aria-label={series.trying}>
        <a href={`/runs/${series.id}`}>{open ? 'Go on logging' : 'Log'}</a>
        <a href={`/findings/${series.id}`}>Findings</a>
      </nav>
    </li>
  );
}

/** Series, the newest first: what was tried, how far each is, what it says. */
export function SeriesList({
  series,
  isPart = false,
}: {
  series: readonly Entry[];
  /** There may be others that are not asked for. */
  isPart?: boolean;
}) {
  if (series.length === 0) {
    return (
      <p className="faint">
        {isPart
          ? 'No such series.'
          : 'No series yet. Start one: say what is being tried and how many runs it shall be, then log run after run.'}
      </p>
    );
  }
  return (
    <ul className={styles.list}>
      {series.map((entry) => (
        <SeriesRow key={entry.series.id} {...entry} />
      ))}
    </ul>
  );
}
