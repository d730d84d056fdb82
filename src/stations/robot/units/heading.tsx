import styles from '../RobotStation.module.css';
import type { UnitMark } from './unitMark';

export const heading: UnitMark = () => (
  <>
    <rect className={styles.sensor} x={-9} y={-9} width={18} height={18} />
    <path className={styles.axle} d="M0 -9V9M-9 0H9" />
  </>
);
