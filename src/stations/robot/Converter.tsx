import { useState } from 'react';
import { degreesFromRadians, radiansFromDegrees } from '../../core/geometry/angle';
import { conversionView } from '../../core/drive/recordView';
import type { Robot } from '../../core/robot';
import { number, benchLength, errorLength, positiveTurn } from '../../core/text/quantities';
import { NumberField } from '../../ui/NumberField';
import { BENCH_LENGTH, DEG, HEADING, type Unit } from '../../ui/units';
import styles from './RobotStation.module.css';

/** As an encoder tells it: in degrees already. */
const MOTOR_DEGREES: Unit = {
  ...DEG,
  decimals: 1,
  limitsPerSi: 1,
  show: (degrees) => degrees,
  read: (degrees) => degrees,
};

type Given = { distanceM: number } | { headingRad: number } | { motorDegrees: number };

/** Motor degrees, distance and the robot's own turning side by side; any of them can be typed. */
export function Converter({ robot }: { robot: Robot }) {
  const [given, setGiven] = useState<Given>({ headingRad: radiansFromDegrees(90) });
  const view = conversionView(robot, given);
  const { straight, spin, pivot } = view;
  return (
    <section aria-label="Motor angle, distance and heading" className={styles.converter}>
      <p className={styles.headline} data-testid="conversion-sentence">
        When both motors turn {number(Math.abs(straight.motorDegrees))}°, the robot drives{' '}
        {benchLength(Math.abs(straight.distanceM))}; when they turn that much against each other, it
        turns {number(Math.abs(degreesFromRadians(spin.headingRad)), 1)}°; with one alone,{' '}
        {number(
          Math.abs(
            degreesFromRadians('headingRad' in given ? spin.headingRad / 2 : pivot.headingRad),
          ),
          1,
        )}
        °.
      </p>
      <div className={styles.converterRow}>
        <NumberField
          label="Motor"
          unit={MOTOR_DEGREES}
          min={-36000}
          max={36000}
          value={straight.motorDegrees}
          onChange={(motorDegrees) => setGiven({ motorDegrees })}
          hint={`${number(view.rotations, 2)} rotations`}
        />
        <span aria-hidden="true">=</span>
        <NumberField
          label="Drives straight"
          unit={BENCH_LENGTH}
          min={-1000}
          max={1000}
          value={straight.distanceM}
          onChange={(distanceM) => setGiven({ distanceM })}
          hint={`1 count = ${errorLength(view.encoderStepM, 2)}`}
        />
        <span aria-hidden="true">=</span>
        <NumberField
          label="Robot turns on the spot"
          unit={{ ...HEADING, decimals: 1 }}
          min={-3600}
          max={3600}
          value={spin.headingRad}
          onChange={(headingRad) => setGiven({ headingRad })}
          hint={positiveTurn()}
        />
        <p className={styles.rounding}>
          Whole encoder counts leave {number(Math.abs(view.leftOverDegrees), 2)}° of the motor over,
          which is {errorLength(Math.abs(view.leftOverM), 2)}.
        </p>
      </div>
    </section>
  );
}
