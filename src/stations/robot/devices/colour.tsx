import styles from '../RobotStation.module.css';
import type { DeviceMark } from './deviceMark';

/** Its spot on the floor, and a sensor that is no round one as that for light is. */
export const colour: DeviceMark<'colour sensor'> = ({ unit }) => {
  const spot = unit.behaviour.spotDiameterM * 500;
  return (
    <>
      <circle className={styles.beam} r={spot + 3} />
      <path className={styles.sensor} d="M0 -6L6 5H-6Z" strokeLinejoin="round" />
    </>
  );
};
