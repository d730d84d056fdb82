import type { ReactNode } from 'react';
import type { Robot } from '../../core/robot';
import type { RobotRecord } from '../../formats/records';
import { fieldsOf } from '../../ui/recordForm';
import styles from './RobotStation.module.css';

/** The fields of a robot's record. */
export const F = fieldsOf<RobotRecord>();

/** For what is more than the value of one field. */
export interface RobotProps {
  robot: Robot;
  onChange(robot: Robot): void;
}

/** Values of one part of the robot, with a note on what they are. */
export function FieldGroup({
  title,
  note,
  children,
}: {
  title: string;
  note: string;
  children: ReactNode;
}) {
  return (
    <fieldset className={styles.group}>
      <legend>{title}</legend>
      <p className="faint">{note}</p>
      <div className={styles.fields}>{children}</div>
    </fieldset>
  );
}
