import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import { radiansFromDegrees, wrap } from '../../../core/geometry/angle';
import type { BenchStep } from '../../../core/standIn/program';
import type { LapRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { DEG, MM } from '../../../ui/units';
import styles from '../Bench.module.css';
import { useProgram } from '../standIn/useProgram';

interface Props {
  sideM: number;
  driven: 'encoders' | 'gyro';
  standInFits: boolean;
  onLap(lap: LapRecord): void;
}

const QUARTER = radiansFromDegrees(90);

/** One lap: four sides, each followed by a quarter turn, all by encoders or all by the gyro. */
function lapProgram(
  sideM: number,
  driven: Props['driven'],
  direction: LapRecord['direction'],
): BenchStep[] {
  const angleRad = direction === 'ccw' ? QUARTER : -QUARTER;
  return Array.from({ length: 4 }, (): BenchStep[] => [
    { kind: 'straight', distanceM: sideM, speedMPerS: 0.25, holdHeading: driven === 'gyro' },
    {
      kind: 'turn',
      angleRad,
      how:
        driven === 'encoders'
          ? { school: 'encoder', rateRadPerS: 0.9, endRateRadPerS: 0.03 }
          : { school: 'stop-early', rateRadPerS: 0.9, leadRad: 0.03 },
    },
  ]).flat();
}

/** A lap's return: typed from the ruler, or driven by the stand-in. */
export function LapEntry({ sideM, driven, standInFits, onLap }: Props) {
  const [direction, setDirection] = useState<LapRecord['direction']>('cw');
  const [xM, setX] = useState<number | null>(null);
  const [yM, setY] = useState<number | null>(null);
  const [headingRad, setHeading] = useState<number | null>(null);
  const first = useRef<HTMLInputElement>(null);
  const program = useProgram();
  const complete = xM !== null && yM !== null && headingRad !== null;
  const lap = (x: number, y: number, heading: number): LapRecord => ({
    id: ulid(),
    direction,
    xM: x,
    yM: y,
    headingRad: heading,
    setAsideReason: null,
  });
  const add = () => {
    if (!complete) return;
    onLap(lap(xM, yM, headingRad));
    setX(null);
    setY(null);
    setHeading(null);
    first.current?.focus();
  };
  const drive = () =>
    void program.run(lapProgram(sideM, driven, direction), (measured) =>
      onLap(lap(measured.xM, measured.yM, wrap(measured.turnedRad))),
    );
  return (
    <form
      className={styles.work}
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <div className={styles.fields}>
        <Choice
          label="Driven"
          value={direction}
          options={[
            { value: 'cw', label: 'clockwise' },
            { value: 'ccw', label: 'counter-clockwise' },
          ]}
          onChange={setDirection}
        />
        <NumberField
          inputRef={first}
          label="Ended forward by"
          unit={MM}
          min={-5000}
          max={5000}
          value={xM}
          onChange={setX}
          onClear={() => setX(null)}
        />
        <NumberField
          label="Ended left by"
          unit={MM}
          min={-5000}
          max={5000}
          value={yM}
          onChange={setY}
          onClear={() => setY(null)}
        />
        <NumberField
          label="Turned over by (left +)"
          unit={DEG}
          min={-180}
          max={180}
          value={headingRad}
          onChange={setHeading}
          onClear={() => setHeading(null)}
        />
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={!complete}>
          Add the lap
        </Button>
        {standInFits && (
          <Button disabled={!program.isOn || program.moving || program.running} onClick={drive}>
            {program.running ? 'The stand-in drives …' : 'Let the stand-in drive a lap'}
          </Button>
        )}
      </div>
      {program.problem !== null && (
        <p role="alert" className={styles.problem}>
          {program.problem}
        </p>
      )}
    </form>
  );
}
