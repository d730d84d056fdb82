import type { Unit } from '../../../core/units/unit';
import { BENCH_LENGTH, DEG, MILLISECONDS, SMALL_LENGTH, PERCENT, PLAIN } from '../../../ui/units';
import { F, numberOf } from '../FieldGroup';
import styles from '../RobotStation.module.css';
import type { UnitParts } from './unitParts';

function Fields({ at }: { at: number }) {
  const of = (name: string) => numberOf(at, `behaviour.${name}`);
  return (
    <>
      <F.Number name={of('offsetM')} label="Offset" unit={SMALL_LENGTH} min={-200} max={200} />
      <F.Number name={of('scale')} label="Scale" unit={PLAIN} min={0.5} max={2} />
      <F.Number name={of('noiseM')} label="Noise" unit={SMALL_LENGTH} min={0} max={200} />
      <F.Number name={of('beamHalfAngleRad')} label="Half beam" unit={DEG} min={0} max={60} />
      <F.Number name={of('lostEchoShare')} label="Lost echoes" unit={PERCENT} min={0} max={90} />
      <F.Number name={of('minM')} label="Nearest" unit={BENCH_LENGTH} min={0} max={100} />
      <F.Number name={of('maxM')} label="Farthest" unit={BENCH_LENGTH} min={5} max={1000} />
      <F.Number name={of('quantumM')} label="Smallest step" unit={SMALL_LENGTH} min={0} max={100} />
      <F.Number name={of('periodS')} label="Period" unit={MILLISECONDS} min={1} max={500} />
    </>
  );
}

/** So long is the part of the beam that is drawn, mm. */
const BEAM_MM = 50;

function Mark({ unit }: { unit: Unit }) {
  const half = unit.kind === 'distance sensor' ? unit.behaviour.beamHalfAngleRad : 0;
  const beam = Math.tan(Math.min(half, 1)) * BEAM_MM;
  return (
    <>
      <path className={styles.beam} d={`M0 0L${-beam} ${-BEAM_MM}H${beam}Z`} />
      <rect className={styles.sensor} x={-16} y={-6} width={32} height={12} />
    </>
  );
}

export const distance: UnitParts = { Fields, Mark };
