import type { Mission } from '../../core/table/table';
import type { SeriesFindings } from '../../core/runs/findings';
import { percent } from '../../core/text/quantities';
import type { SuccessRate } from '../../core/stats/wilson';
import { Table } from '../../ui/Table';
import styles from './Findings.module.css';

interface Line {
  name: string;
  success: SuccessRate;
  points?: number | undefined;
}

/** The rate, within what is sure of it. */
const Bar = ({ rate, low95, high95 }: SuccessRate) => (
  <svg className={styles.bar} viewBox="0 0 100 12" preserveAspectRatio="none" aria-hidden="true">
    <path className={styles.barAxis} d="M0 6H100" />
    <path className={styles.barRange} d={`M${low95 * 100} 6H${high95 * 100}`} />
    <path className={styles.barValue} d={`M${rate * 100} 0V12`} />
  </svg>
);

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
  const ofMissions = findings.missions.map(({ id, success: rate }): Line => {
    const mission = missions.find((one) => one.id === id);
    return { name: mission?.name ?? id, success: rate, points: mission?.points };
  });
  return (
    <section aria-label="Success">
      <h2>How often it works</h2>
      {success === null ? (
        <p className="faint">No run says yet whether it worked.</p>
      ) : (
        <Table
          rows={[...ofMissions, { name: 'the whole run', success }] satisfies Line[]}
          keyOf={({ name }) => name}
          columns={[
            {
              title: 'Mission',
              head: true,
              cell: ({ name, points }: Line) => (
                <>
                  {name}
                  {points !== undefined && <small className="faint"> {points} points</small>}
                </>
              ),
            },
            {
              title: 'Worked',
              number: true,
              cell: (one) => `${one.success.successes} of ${one.success.n}`,
            },
            {
              title: 'Rate',
              number: true,
              cell: (one) => <strong>{percent(one.success.rate)}</strong>,
            },
            { title: 'Drawn', hidden: true, cell: (one) => <Bar {...one.success} /> },
            {
              title: '95 % sure',
              number: true,
              cell: ({ success: { low95, high95 } }) => `${percent(low95)} to ${percent(high95)}`,
            },
          ]}
        />
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
