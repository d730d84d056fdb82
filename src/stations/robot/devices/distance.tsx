import styles from '../RobotStation.module.css';
import type { DeviceMark } from './deviceMark';

/** So long is the part of the beam that is drawn, mm. */
const BEAM_MM = 50;

export const distance: DeviceMark<'distance sensor'> = ({ unit: { behaviour } }) => {
  const beam = Math.tan(Math.min(behaviour.beamHalfAngleRad, 1)) * BEAM_MM;
  return (
    <>
      <path className={styles.beam} d={`M0 0L${-beam} ${-BEAM_MM}H${beam}Z`} />
      <rect className={styles.sensor} x={-16} y={-6} width={32} height={12} />
    </>
  );
};
