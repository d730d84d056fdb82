import styles from '../RobotStation.module.css';
import type { DeviceMark } from './deviceMark';

export const heading: DeviceMark = () => (
  <>
    <rect className={styles.sensor} x={-9} y={-9} width={18} height={18} />
    <path className={styles.axle} d="M0 -9V9M-9 0H9" />
  </>
);
