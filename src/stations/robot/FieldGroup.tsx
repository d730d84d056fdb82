import type { ReactNode } from 'react';
import type { Robot } from '../../core/robot';
import styles from './RobotStation.module.css';

export interface RobotFieldsProps {
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
