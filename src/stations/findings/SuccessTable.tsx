import type { Mission } from '../../core/table/table';
import type { SeriesFindings } from '../../core/runs/findings';
import { percent } from '../../core/text/quantities';
import type { SuccessRate } from '../../core/stats/wilson';
import styles from './Findings.module.css';

function Row({ name, success, points }: { name: string; success: SuccessRate; points?: number }) {
  return (
    <tr data-testid={`success-${name}`}>
      <th scope="row">
        {name}
        {points !== undefined && <small className="faint"> {points} points</small>}
      </th>
      <td>
        {success.successes} of {success.n}
      </td>
      <td>
        <strong>{percent(success.rate)}</strong>
      </td>
      <td className={styles.bar}>
        <svg viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
          <path className={styles.barAxis} d="M0 6H100" />
          <path
            className={styles.barRange}
            d={`M${success.low95 * 100} 6H${success.high95 * 100}`}
          />
          <path className={styles.barValue} d={`M${success.rate * 100} 0V12`} />
        </svg>
      </td>
      <td className="faint">
        {percent(success.low95)} to {percent(success.high95)}
      </td>
    </tr>
  );
}

/** How often each mission, and the run as a whole, worked; with the range in which the true rate lies. */
export function SuccessTable({
  findings,
  missions,
}: {
  findings: SeriesFindings;
  missions: readonly Mission[];
}) {
  const { success } = findings.end;
  const { allWorked } = findings;
  return (
    <section aria-label="Success">
      <h2>How often it works</h2>
      {success === null ? (
        <p className="faint">No run says yet whether it worked.</p>
      ) : (
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">Mission</th>
              <th scope="col">Worked</th>
              <th scope="col">Rate</th>
              <th scope="col">
                <span className="visually-hidden">Drawn</span>
              </th>
              <th scope="col">95 % sure</th>
            </tr>
          </thead>
          <tbody>
            {findings.missions.map(({ id, success: rate }) => {
              const mission = missions.find((one) => one.id === id);
              return (
                <Row key={id} name={mission?.name ?? id} success={rate} points={mission?.points} />
              );
            })}
            <Row name="the whole run" success={success} />
          </tbody>
        </table>
      )}
      {allWorked && (
        <p>
          All {allWorked.n} runs that were planned worked, from the first on: that proves a rate
          above {percent(allWorked.low95)}. A streak picked afterwards would prove nothing.
        </p>
      )}
    </section>
  );
}
