import { PLAIN } from '../../../ui/units';
import { F, numberOf } from '../FieldGroup';
import styles from '../RobotStation.module.css';
import type { UnitParts } from './unitParts';

const Fields = ({ at }: { at: number }) => (
  <F.Number
    name={numberOf(at, 'behaviour.countsPerMotorDegree')}
    label="Counts per motor degree"
    unit={PLAIN}
    min={0.01}
    max={10000}
  />
);

const Mark = () => (
  <>
    <circle className={styles.sensor} r={9} />
    <path className={styles.axle} d="M0 0V-9" />
  </>
);

export const attachment: UnitParts = { Fields, Mark };
