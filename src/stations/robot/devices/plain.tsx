import styles from '../RobotStation.module.css';
import type { DeviceMark } from './deviceMark';

/** Of a unit of which nothing more is known. */
export const plain: DeviceMark = () => (
  <rect className={styles.sensor} x={-5} y={-5} width={10} height={10} />
);

/** The driven wheels are drawn with the axle. */
export const wheel: DeviceMark = () => null;
