import type { Robot } from '../../core/robot/robot';
import type { RobotRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { ChangedElsewhere } from '../Saving';
import type { useSaved } from '../useSaved';
import styles from './Bench.module.css';

interface Props {
  saved: ReturnType<typeof useSaved<RobotRecord>>;
  /** What the button says; null while there is nothing to take over. */
  label: string | null;
  change(record: Robot): Robot;
}

/** What was found goes into the robot's record with one press; a record that was changed elsewhere is asked about. */
export function RecordTakeOver({ saved, label, change }: Props) {
  return (
    <>
      {label !== null && (
        <div className={styles.actions}>
          <Button
            look="strong"
            disabled={saved.saving}
            onClick={() => void saved.save({ ...saved.saved, robot: change(saved.saved.robot) })}
          >
            {label}
          </Button>
        </div>
      )}
      {saved.problem !== null && <Notice tone="fault">{saved.problem}</Notice>}
      <ChangedElsewhere what="robot" saved={saved} />
    </>
  );
}
