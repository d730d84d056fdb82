import type { Robot } from '../../core/robot/robot';
import { SUMMARIES } from '../../core/robot/robotSummary';
import { SPEED, ACCELERATION, MILLISECONDS, SMALL_LENGTH, PLAIN } from '../../ui/fields/units';
import { F, FieldGroup } from './FieldGroup';

/** Wheels, body, motors. */
export function DriveFields({ robot }: { robot: Robot }) {
  return (
    <>
      <FieldGroup
        title="Wheels"
        summary={SUMMARIES.drive(robot)}
        note="As measured with a ruler; the track is the distance between the two wheels."
      >
        <F.Number
          name="robot.wheelDiameterM"
          label="Wheel diameter"
          unit={SMALL_LENGTH}
          min={5}
          max={1000}
        />
        <F.Number name="robot.trackM" label="Track width" unit={SMALL_LENGTH} min={10} max={2000} />
        <F.Number
          name="robot.gearRatio"
          label="Motor turns per wheel turn"
          unit={PLAIN}
          min={0.01}
          max={1000}
        />
        <F.Number
          name="robot.encoderCountsPerMotorDegree"
          label="Counts per motor degree"
          unit={PLAIN}
          min={0.01}
          max={10000}
        />
      </FieldGroup>
      <FieldGroup title="Body" summary={SUMMARIES.body(robot)} note="From the middle of the axle.">
        <F.Number
          name="robot.body.frontM"
          label="To the front"
          unit={SMALL_LENGTH}
          min={0}
          max={2000}
        />
        <F.Number
          name="robot.body.rearM"
          label="To the rear"
          unit={SMALL_LENGTH}
          min={0}
          max={2000}
        />
        <F.Number
          name="robot.body.halfWidthM"
          label="To either side"
          unit={SMALL_LENGTH}
          min={5}
          max={2000}
        />
      </FieldGroup>
      <FieldGroup
        title="Motors and program"
        summary={SUMMARIES.motors(robot)}
        note="How fast the wheels can follow a command, and how often the program gives one."
      >
        <F.Number
          name="robot.motors.maxSpeedMPerS"
          label="Top speed"
          unit={SPEED}
          min={1}
          max={1000}
        />
        <F.Number
          name="robot.motors.maxAccelerationMPerS2"
          label="Acceleration"
          unit={ACCELERATION}
          min={1}
          max={5000}
        />
        <F.Number name="robot.motors.lagS" label="Lag" unit={MILLISECONDS} min={1} max={1000} />
        <F.Number
          name="robot.loopPeriodS"
          label="Loop period"
          unit={MILLISECONDS}
          min={1}
          max={500}
        />
      </FieldGroup>
    </>
  );
}
