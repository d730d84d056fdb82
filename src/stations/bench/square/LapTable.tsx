import { errorLength, headingInList } from '../../../core/text/quantities';
import type { LapRecord } from '../../../formats/benchRecords';
import styles from '../Bench.module.css';
import { AsideButton, FoldedTable } from '../TrialParts';

interface Props {
  laps: readonly LapRecord[];
  onSetAside(lap: LapRecord): void;
  onTakeBack(lap: LapRecord): void;
}

/** The laps as they were driven, the newest first. */
export function LapTable({ laps, onSetAside, onTakeBack }: Props) {
  return (
    <FoldedTable label="Laps" count={laps.length} what="lap">
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
              <td className={styles.number}>{errorLength(lap.xM)}</td>
              <td className={styles.number}>{errorLength(lap.yM)}</td>
              <td className={styles.number}>{headingInList(lap.headingRad)}</td>
              <td>
                {lap.setAsideReason}{' '}
                <AsideButton
                  what={`lap ${no}`}
                  isAside={lap.setAsideReason !== null}
                  onSetAside={() => onSetAside(lap)}
                  onTakeBack={() => onTakeBack(lap)}
                />
              </td>
            </tr>
          ))}
      </tbody>
    </FoldedTable>
  );
}
