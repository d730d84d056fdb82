import type { ReactNode } from 'react';
import type { Robot } from '../../core/robot/robot';
import type { Device } from '../../core/devices/device';
import type { RobotRecord } from '../../formats/records';
import { fieldsOf } from '../../ui/fields/recordForm';
import { useUnfolded } from './useUnfolded';
import styles from './RobotStation.module.css';

/** The fields of a robot's record. */
export const F = fieldsOf<RobotRecord>();

/** For what is more than the value of one field. */
export interface RobotProps {
  robot: Robot;
  onChange(robot: Robot): void;
}

/** For taking a unit off into the team's stock; answers whether it is there. */
export interface StockProps {
  onStock(unit: Device): Promise<boolean>;
}

interface Props {
  title: string;
  /** What its values come to, in a sentence: all that is seen while it is folded. */
  summary: string;
  /** What the next procedures ask for and it does not say yet. */
  wanted?: readonly string[];
  note: string;
  children: ReactNode;
}

/** Values of one part of the robot, folded to a sentence. */
export function FieldGroup({ title, summary, wanted = [], note, children }: Props) {
  const [open, unfold] = useUnfolded(title);
  return (
    <details
      className={styles.group}
      open={open}
      onToggle={({ currentTarget }) => unfold(currentTarget.open)}
    >
      <summary>
        <h2>{title}</h2> <span>{summary}</span>
        {wanted.map((what) => (
          <strong key={what} className={styles.wanted}>
            {what}
          </strong>
        ))}
      </summary>
      <p className="faint">{note}</p>
      <div className={styles.fields}>{children}</div>
    </details>
  );
}
