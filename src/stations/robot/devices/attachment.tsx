import styles from '../RobotStation.module.css';
import type { DeviceMark } from './deviceMark';

export const attachment: DeviceMark = () => (
  <>
    <circle className={styles.sensor} r={9} />
    <path className={styles.axle} d="M0 0V-9" />
  </>
);
