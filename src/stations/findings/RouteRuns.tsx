import { RULE_WORDS, type StandingOut } from '../../core/compare/routeHistory';
import { errorLength } from '../../core/text/quantities';
import type { SavedSeries } from '../../formats/records';
import { dayOf } from '../../ui/dates';
import { Table } from '../../ui/Table';
import styles from './Findings.module.css';

interface Props {
  series: readonly { series: SavedSeries; place: { from: number; to: number } | null }[];
  standOut: readonly StandingOut[];
}

/** Which runs of the chart are whose, and what was noted with those that stand out. */
export function RouteRuns({ series, standOut }: Props) {
  const nameOf = (id: string) => series.find((one) => one.series.id === id)?.series.trying ?? '';
  return (
    <>
      <section aria-label="Series of this route" className={styles.order}>
        <h2>Its series, the oldest first</h2>
        <ol>
          {series.map(({ series: { id, trying, startedAt }, place }, i) => {
            const before = series[i - 1];
            return (
              <li key={id}>
                <a href={`/findings/${id}`}>
                  {dayOf(startedAt)} {trying}
                </a>
                {place === null ? ', no measured end' : `, marks ${place.from} to ${place.to}`}
                {before !== undefined && (
                  <>
                    {' · '}
                    <a href={`/findings/compare?a.series=${before.series.id}&b.series=${id}`}>
                      did it help?
                    </a>
                  </>
                )}
              </li>
            );
          })}
        </ol>
      </section>
      {standOut.length > 0 && (
        <section aria-label="Runs that stand out" className={styles.order}>
          <h2>Runs that stand out</h2>
          <Table
            rows={standOut}
            keyOf={({ run, rule }) => `${run.seriesId} ${run.number} ${rule}`}
            columns={[
              {
                title: 'Run',
                head: true,
                cell: ({ run }) => `${run.number} of “${nameOf(run.seriesId)}”`,
              },
              { title: 'Off by', number: true, cell: ({ run }) => errorLength(run.errorM) },
              { title: 'Why it stands out', cell: ({ rule }) => RULE_WORDS[rule] },
              {
                title: 'What was noted',
                cell: ({ run }) => [run.cause, run.note].filter(Boolean).join('; ') || '–',
              },
            ]}
          />
        </section>
      )}
    </>
  );
}
