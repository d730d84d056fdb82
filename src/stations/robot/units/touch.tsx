import { SMALL_LENGTH } from '../../../ui/units';
import { F, numberOf, textOf } from '../FieldGroup';
import styles from '../RobotStation.module.css';
import type { UnitParts } from './unitParts';

const PRESSED = [
  { value: true, label: '1, or true' },
  { value: false, label: '0, or false' },
];

const Fields = ({ at }: { at: number }) => (
  <>
    <F.Number
      name={numberOf(at, 'behaviour.reachM')}
      label="Pressed within"
      unit={SMALL_LENGTH}
      min={0.5}
      max={50}
    />
    <F.Choice
      name={textOf(at, 'behaviour.readsWhilePressed')}
      label="Pressed, it reads"
      options={PRESSED}
    />
  </>
);

const Mark = () => (
  <path className={styles.sensor} d="M-12 2H12V8H-12ZM-8 -3H8V2H-8Z" strokeLinejoin="round" />
);

export const touch: UnitParts = { Fields, Mark };
