import { useState } from 'react';
import { degreesFromRadians, radiansFromDegrees } from '../../core/geometry/angle';
import { conversionView } from '../../core/drive/recordView';
import { CONVERTED } from '../../core/robot/description';
import type { Robot } from '../../core/robot/robot';
import {
  benchSpeed,
  number,
  benchLength,
  errorLength,
  positiveTurn,
} from '../../core/text/quantities';
import { Choice } from '../../ui/fields/Choice';
import { BENCH_LENGTH, HEADING, MOTOR_DEGREES, type Unit } from '../../ui/fields/units';
import { ValueField } from '../../ui/fields/ValueField';
import styles from './RobotStation.module.css';

/** The same as speeds: all three go with each other alike. */
const perSecond = (unit: Unit): Unit => ({
  ...unit,
  label: `${unit.label}/s`,
  spoken: `${unit.spoken} per second`,
});

type Given = { distanceM: number } | { headingRad: number } | { motorDegrees: number };

/** Motor degrees, distance and the robot's own turning side by side; any of them can be typed. */
export function Converter({ robot }: { robot: Robot }) {
  const [given, setGiven] = useState<Given>({ headingRad: radiansFromDegrees(90) });
  const [isSpeed, setIsSpeed] = useState(false);
  const view = conversionView(robot, given);
  const { straight, spin, pivot } = view;
  const as = isSpeed ? perSecond : (unit: Unit) => unit;
  const each = isSpeed ? ' a second' : '';
  const isTooFast = isSpeed && Math.abs(straight.distanceM) > robot.motors.maxSpeedMPerS;
  return (
    <section aria-label="Motor angle, distance and heading" className={styles.converter}>
      <p className={styles.headline} data-testid="conversion-sentence">
        When both motors turn {number(Math.abs(straight.motorDegrees))}°{each}, the robot drives{' '}
        {benchLength(Math.abs(straight.distanceM))}
        {each}; when they turn that much against each other, it turns{' '}
        {number(Math.abs(degreesFromRadians(spin.headingRad)), 1)}°{each}; with one alone,{' '}
        {number(
          Math.abs(
            degreesFromRadians('headingRad' in given ? spin.headingRad / 2 : pivot.headingRad),
          ),
          1,
        )}
        °{each}.
      </p>
      <Choice
        label="What is converted"
        value={isSpeed ? 'speeds' : 'ways'}
        options={[
          { value: 'ways', label: 'angles and ways' },
          { value: 'speeds', label: 'speeds' },
        ]}
        onChange={(value) => setIsSpeed(value === 'speeds')}
      />
      <div className={styles.converterRow}>
        <ValueField
          field={CONVERTED.motorDegrees}
          unit={as(MOTOR_DEGREES)}
          value={straight.motorDegrees}
          onChange={(motorDegrees) => setGiven({ motorDegrees })}
          hint={`${number(view.rotations, 2)} rotations${each}`}
        />
        <span aria-hidden="true">=</span>
        <ValueField
          field={CONVERTED.distanceM}
          unit={as(BENCH_LENGTH)}
          value={straight.distanceM}
          onChange={(distanceM) => setGiven({ distanceM })}
          {...(!isSpeed && { hint: `1 count = ${errorLength(view.encoderStepM, 2)}` })}
        />
        <span aria-hidden="true">=</span>
        <ValueField
          field={CONVERTED.headingRad}
          unit={as({ ...HEADING, decimals: 1 })}
          value={spin.headingRad}
          onChange={(headingRad) => setGiven({ headingRad })}
          hint={positiveTurn()}
        />
        <p className={styles.rounding}>
          {isSpeed
            ? isTooFast
              ? `Faster than it drives: its top speed is ${benchSpeed(robot.motors.maxSpeedMPerS)}.`
              : `Its top speed is ${benchSpeed(robot.motors.maxSpeedMPerS)}; how fast a power truly drives it is timed on the Bench.`
            : `Whole encoder counts leave ${number(Math.abs(view.leftOverDegrees), 2)}° of the motor over, which is ${errorLength(Math.abs(view.leftOverM), 2)}.`}
        </p>
      </div>
    </section>
  );
}
