import styles from '../RobotStation.module.css';
import type { DeviceMark } from './deviceMark';

export const touch: DeviceMark = () => (
  <path className={styles.sensor} d="M-12 2H12V8H-12ZM-8 -3H8V2H-8Z" strokeLinejoin="round" />
);
