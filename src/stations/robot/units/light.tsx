import styles from '../RobotStation.module.css';
import type { UnitMark } from './unitMark';

export const light: UnitMark = ({ unit }) => {
  const spot = unit.kind === 'light sensor' ? unit.behaviour.spotDiameterM * 500 : 6;
  return (
    <>
      <circle className={styles.beam} r={spot + 3} />
      <circle className={styles.sensor} r={5} />
    </>
  );
};
