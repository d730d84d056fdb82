import styles from '../RobotStation.module.css';
import type { UnitMark } from './unitMark';

export const light: UnitMark<'light sensor'> = ({ unit }) => {
  const spot = unit.behaviour.spotDiameterM * 500;
  return (
    <>
      <circle className={styles.beam} r={spot + 3} />
      <circle className={styles.sensor} r={5} />
    </>
  );
};
