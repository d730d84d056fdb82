import { RANGE_TRIAL } from '../../../core/trials/range';
import { mountAngle, mountSentence, type MountedSensor } from '../../../core/ranging/mountAngle';
import type { RangeTrialRecord } from '../../../formats/benchRecords';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

interface Props {
  unit: string;
  /** Of this unit, at all angles. */
  trials: readonly RangeTrialRecord[];
  sensor: MountedSensor;
  turnedRad: number;
  onTurned(turnedRad: number): void;
}

/** Whether a sensor sits straight on its mount: the same wall, read with the robot turned this way and that. */
export function MountCheck({ unit, trials, sensor, turnedRad, onTurned }: Props) {
  const turned = trials.filter((one) => one.turnedRad !== 0);
  const walls = new Set(turned.map(({ trueM }) => trueM));
  const found = mountAngle(
    trials.filter(({ trueM }) => walls.has(trueM)),
    sensor,
  );
  return (
    <details open={turned.length > 0 || turnedRad !== 0}>
      <summary>Does it look straight ahead?</summary>
      <p className="faint">
        Leave the robot where it is and turn it on the spot before one flat wall: 20° to the right,
        10°, straight, and as far to the left. Say by how much it is turned, and take a reading each
        time.
      </p>
      <div className={styles.fields}>
        <ValueField field={RANGE_TRIAL.fields.turnedRad} value={turnedRad} onChange={onTurned} />
      </div>
      {found !== null ? (
        <p data-testid="mount">{mountSentence(unit, found)}</p>
      ) : (
        turned.length > 0 && (
          <p className="faint">
            Six readings are needed, from 20° of turning in all: {trials.length} so far.
          </p>
        )
      )}
    </details>
  );
}
