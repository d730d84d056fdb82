import styles from '../RobotStation.module.css';
import type { UnitParts } from './unitParts';

/** Of a unit of which nothing more is known. */
export const plain: UnitParts = {
  Fields: null,
  Mark: () => <rect className={styles.sensor} x={-5} y={-5} width={10} height={10} />,
};

/** The driven wheels are drawn with the axle, and their values are those of the drive. */
export const wheel: UnitParts = { Fields: null, Mark: () => null };
