import type { Unit } from '../../../core/units/unit';
import { MILLISECONDS, SMALL_LENGTH, PERCENT } from '../../../ui/units';
import { F, numberOf } from '../FieldGroup';
import styles from '../RobotStation.module.css';
import type { UnitParts } from './unitParts';

function Fields({ at }: { at: number }) {
  const of = (name: string) => numberOf(at, `behaviour.${name}`);
  return (
    <>
      <F.Number
        name={of('spotDiameterM')}
        label="Width of its spot"
        unit={SMALL_LENGTH}
        min={1}
        max={200}
      />
      <F.Number
        name={of('floorShare')}
        label="Reads over the floor"
        unit={PERCENT}
        min={0}
        max={100}
      />
      <F.Number name={of('lineShare')} label="Reads over a line" unit={PERCENT} min={0} max={100} />
      <F.Number name={of('noiseShare')} label="Noise" unit={PERCENT} min={0} max={100} />
      <F.Number name={of('periodS')} label="Period" unit={MILLISECONDS} min={1} max={500} />
    </>
  );
}

function Mark({ unit }: { unit: Unit }) {
  const spot = unit.kind === 'light sensor' ? unit.behaviour.spotDiameterM * 500 : 6;
  return (
    <>
      <circle className={styles.beam} r={spot + 3} />
      <circle className={styles.sensor} r={5} />
    </>
  );
}

export const light: UnitParts = { Fields, Mark };
