import { DEG, DEG_PER_SQRT_S, DRIFT, MILLISECONDS, PERCENT, DRIFT_SIZE } from '../../../ui/units';
import { F, numberOf } from '../FieldGroup';
import styles from '../RobotStation.module.css';
import type { UnitParts } from './unitParts';

function Fields({ at }: { at: number }) {
  const of = (name: string) => numberOf(at, `behaviour.${name}`);
  return (
    <>
      <F.Number name={of('driftRadPerS')} label="Drift" unit={DRIFT} min={-20} max={20} />
      <F.Number
        name={of('driftSdRadPerS')}
        label="Drift differs by ±"
        unit={DRIFT_SIZE}
        min={0}
        max={20}
      />
      <F.Number
        name={of('noiseRadPerSqrtS')}
        label="Wanders by itself"
        unit={DEG_PER_SQRT_S}
        min={0}
        max={5}
      />
      <F.Number name={of('scaleError')} label="Scale error" unit={PERCENT} min={-49} max={49} />
      <F.Number name={of('quantumRad')} label="Smallest step" unit={DEG} min={0} max={10} />
      <F.Number name={of('periodS')} label="Period" unit={MILLISECONDS} min={1} max={500} />
      <F.Number name={of('latencyS')} label="Latency" unit={MILLISECONDS} min={0} max={500} />
    </>
  );
}

const Mark = () => (
  <>
    <rect className={styles.sensor} x={-9} y={-9} width={18} height={18} />
    <path className={styles.axle} d="M0 -9V9M-9 0H9" />
  </>
);

export const heading: UnitParts = { Fields, Mark };
