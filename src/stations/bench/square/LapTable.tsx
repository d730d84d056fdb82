import { useState } from 'react';
import { degreesFromRadians } from '../../../core/geometry/angle';
import { counted, number } from '../../../core/text/quantities';
import type { LapRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';

interface Props {
  laps: readonly LapRecord[];
  onSetAside(lap: LapRecord): void;
  onTakeBack(lap: LapRecord): void;
}

/** A longer list is folded away. */
const SHOWN_OPEN = 8;

/** The laps as they were driven, the newest first. */
export function LapTable({ laps, onSetAside, onTakeBack }: Props) {
  // As it was found: a list that grows must not fold itself away.
  const [isOpen] = useState(laps.length <= SHOWN_OPEN);
  return (
    <details open={isOpen}>
      <summary>{counted(laps.length, 'lap')}, the newest first</summary>
      <div className={styles.scroll}>
        <table className={styles.table} aria-label="Laps">
          <thead>
            <tr>
              <th className={styles.number}>No.</th>
              <th>Driven</th>
              <th className={styles.number}>Forward</th>
              <th className={styles.number}>Left</th>
              <th className={styles.number}>Turned over</th>
              <th>Set aside</th>
            </tr>
          </thead>
          <tbody>
            {laps
              .map((lap, i) => ({ lap, no: i + 1 }))
              .toReversed()
              .map(({ lap, no }) => (
                <tr key={lap.id} className={lap.setAsideReason === null ? '' : styles.aside}>
                  <td className={styles.number}>{no}</td>
                  <td>{lap.direction === 'cw' ? 'clockwise' : 'counter-clockwise'}</td>
                  <td className={styles.number}>{number(lap.xM * 1000)} mm</td>
                  <td className={styles.number}>{number(lap.yM * 1000)} mm</td>
                  <td className={styles.number}>
                    {number(degreesFromRadians(lap.headingRad), 1)}°
                  </td>
                  <td>
                    {lap.setAsideReason === null ? (
                      <Button
                        look="bare"
                        aria-label={`Set lap ${no} aside`}
                        onClick={() => onSetAside(lap)}
                      >
                        Set aside
                      </Button>
                    ) : (
                      <>
                        {lap.setAsideReason}{' '}
                        <Button
                          look="bare"
                          aria-label={`Take lap ${no} back`}
                          onClick={() => onTakeBack(lap)}
                        >
                          Take back
                        </Button>
                      </>
                    )}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
