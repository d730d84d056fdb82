import styles from '../RobotStation.module.css';
import type { UnitMark } from './unitMark';

export const attachment: UnitMark = () => (
  <>
    <circle className={styles.sensor} r={9} />
    <path className={styles.axle} d="M0 0V-9" />
  </>
);
