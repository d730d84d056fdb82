import styles from '../RobotStation.module.css';
import type { DeviceMark } from './deviceMark';

export const light: DeviceMark<'light sensor'> = ({ unit }) => {
  const spot = unit.behaviour.spotDiameterM * 500;
  return (
    <>
      <circle className={styles.beam} r={spot + 3} />
      <circle className={styles.sensor} r={5} />
    </>
  );
};
