import { dayOf } from '../../ui/dates';
import type { ReactNode } from 'react';
import type { Freshness } from '../../core/text/freshness';
import type { SeriesFindings } from '../../core/runs/findings';
import type { SavedSeries } from '../../formats/records';
import button from '../../ui/Button.module.css';
import { classes } from '../../ui/classes';
import styles from './Today.module.css';

interface Props {
  newest: { series: SavedSeries; findings: SeriesFindings } | null;
  suggestions: { text: string; why: string; href: string }[];
  knowledge: { label: string; href: string; note: Freshness }[];
  /** The series before the last, told by their own list. */
  series?: ReactNode;
  hasEarlier: boolean;
  /** What can be done with the team's own record. */
  team?: ReactNode;
  children?: ReactNode;
}

function Newest({
  series,
  findings: { verdict },
}: {
  series: SavedSeries;
  findings: SeriesFindings;
}) {
  return (
    <section className={styles.newest} aria-label="The last series">
      <p className="faint">
        {dayOf(series.startedAt)} · {series.trying}
      </p>
      <p className={styles.found} data-testid="today-sentence">
        {verdict.found}
      </p>
      <p>
        <strong>Next:</strong> {verdict.next} <a href={`/findings/${series.id}`}>All findings</a>
      </p>
    </section>
  );
}

const MARKS = { fresh: '●', ageing: '◐', missing: '○' } as const;
const WORDS = { fresh: 'fresh', ageing: 'ageing', missing: 'missing' } as const;

/** What is known, what to do next, and how far what is known can be relied on. */
export function Today({
  newest,
  suggestions,
  knowledge,
  series,
  hasEarlier,
  team,
  children,
}: Props) {
  return (
    <>
      <h1 className="visually-hidden">Today</h1>
      {newest ? (
        <Newest {...newest} />
      ) : (
        <section className={styles.newest}>
          <p className={styles.found}>
            No runs yet: plan a route, save it, and let the robot drive it.
          </p>
        </section>
      )}
      {children}
      <div className={styles.columns}>
        <section aria-label="What to do next">
          <h2>What to do next</h2>
          <ul className={styles.suggestions}>
            {suggestions.map((suggestion, index) => (
              <li key={suggestion.href}>
                <a
                  className={classes(button.button, index === 0 && button.strong)}
                  href={suggestion.href}
                >
                  {suggestion.text}
                </a>
                <span>{suggestion.why}</span>
              </li>
            ))}
            <li>
              <a className={button.button} href="/runs">
                Start a series
              </a>
              <span>One question, one series: what is being tried?</span>
            </li>
            <li>
              <a className={button.button} href="/course">
                Change the route
              </a>
              <span>Simulate 400 runs of it before the robot drives one</span>
            </li>
          </ul>
        </section>
        <section aria-label="What is known">
          <h2>What is known</h2>
          <table className={styles.known}>
            <tbody>
              {knowledge.map(({ label, href, note }) => (
                <tr key={href}>
                  <th scope="row">
                    <a href={href}>{label}</a>
                  </th>
                  <td className={styles[note.state]}>
                    <span aria-hidden="true">{MARKS[note.state]}</span> {WORDS[note.state]}
                  </td>
                  <td>{note.text}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      </div>
      {hasEarlier && (
        <section aria-label="Earlier series">
          <h2>Before that</h2>
          {series}
        </section>
      )}
      {team}
    </>
  );
}
