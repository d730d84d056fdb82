import styles from '../RobotStation.module.css';
import type { UnitMark } from './unitMark';

export const touch: UnitMark = () => (
  <path className={styles.sensor} d="M-12 2H12V8H-12ZM-8 -3H8V2H-8Z" strokeLinejoin="round" />
);
