import { driftText } from '../../../core/gyro/driftText';
import type { StrategyRecord } from '../../../core/gyro/rezero';
import type { RezeroStrategy } from '../../../core/robot/rezeroStrategies';
import { clock, percent } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';

function soFar({ success, worked, tried }: StrategyRecord): string {
  if (success === null) return 'never tried here';
  return `${worked} of ${tried} (${percent(success.low95)} to ${percent(success.high95)})`;
}

interface TableProps {
  records: StrategyRecord[];
  /** How long this robot has to stand still before a run; null: no time is enough. */
  stillS: number | null;
  recommended: RezeroStrategy | null;
  chosen: RezeroStrategy | null;
  onChoose(school: RezeroStrategy): void;
}

/** The ways that this kit can do, with what each takes and has come to. */
export function StrategyTable({ records, stillS, recommended, chosen, onChoose }: TableProps) {
  return (
    <div className={styles.scroll}>
      <table className={styles.table} aria-label="Ways to get rid of drift">
        <thead>
          <tr>
            <th>Way</th>
            <th className={styles.number}>Takes</th>
            <th>Needs</th>
            <th>Worked here</th>
            <th className={styles.number}>Drift left</th>
            <th>
              <span className="visually-hidden">Choose</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {records.map((record) => {
            const { facts, isOwnTime, leftRadPerS } = record;
            const isBest = facts.school === recommended;
            return (
              <tr key={facts.school}>
                <td>
                  {isBest ? <strong>{facts.title}</strong> : facts.title}
                  {isBest && <small> (recommended)</small>}
                </td>
                <td className={styles.number}>
                  {facts.takesS === null
                    ? stillS === null
                      ? 'no time is enough'
                      : clock(stillS)
                    : clock(facts.takesS)}
                  {facts.takesS !== null && !isOwnTime && <small> as a rule</small>}
                </td>
                <td>{facts.needs}</td>
                <td>{soFar(record)}</td>
                <td className={styles.number}>
                  {leftRadPerS === null ? '–' : driftText(leftRadPerS)}
                </td>
                <td>
                  <Button
                    look={isBest && chosen === null ? 'strong' : 'quiet'}
                    aria-pressed={chosen === facts.school}
                    aria-label={`Try: ${facts.title}`}
                    onClick={() => onChoose(facts.school)}
                  >
                    Try it
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
