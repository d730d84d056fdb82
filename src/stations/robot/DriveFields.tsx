import type { Robot } from '../../core/robot';
import { NumberField } from '../../ui/NumberField';
import { CM_PER_S, CM_PER_S2, MILLISECONDS, MM, PLAIN } from '../../ui/units';
import { FieldGroup, type RobotFieldsProps } from './FieldGroup';

/** Wheels, body, motors. */
export function DriveFields({ robot, onChange }: RobotFieldsProps) {
  const set = (part: Partial<Robot>) => onChange({ ...robot, ...part });
  const setBody = (part: Partial<Robot['body']>) => set({ body: { ...robot.body, ...part } });
  const setMotors = (part: Partial<Robot['motors']>) =>
    set({ motors: { ...robot.motors, ...part } });
  return (
    <>
      <FieldGroup
        title="Drive"
        note="As measured with a ruler; the track is the distance between the two wheels."
      >
        <NumberField
          label="Wheel diameter"
          unit={MM}
          min={5}
          max={1000}
          value={robot.wheelDiameterM}
          onChange={(wheelDiameterM) => set({ wheelDiameterM })}
        />
        <NumberField
          label="Track width"
          unit={MM}
          min={10}
          max={2000}
          value={robot.trackM}
          onChange={(trackM) => set({ trackM })}
        />
        <NumberField
          label="Motor turns per wheel turn"
          unit={PLAIN}
          min={0.01}
          max={1000}
          value={robot.gearRatio}
          onChange={(gearRatio) => set({ gearRatio })}
        />
        <NumberField
          label="Counts per motor degree"
          unit={PLAIN}
          min={0.01}
          max={10000}
          value={robot.encoderCountsPerMotorDegree}
          onChange={(encoderCountsPerMotorDegree) => set({ encoderCountsPerMotorDegree })}
        />
      </FieldGroup>
      <FieldGroup title="Body" note="From the middle of the axle.">
        <NumberField
          label="To the front"
          unit={MM}
          min={0}
          max={2000}
          value={robot.body.frontM}
          onChange={(frontM) => setBody({ frontM })}
        />
        <NumberField
          label="To the rear"
          unit={MM}
          min={0}
          max={2000}
          value={robot.body.rearM}
          onChange={(rearM) => setBody({ rearM })}
        />
        <NumberField
          label="To either side"
          unit={MM}
          min={5}
          max={2000}
          value={robot.body.halfWidthM}
          onChange={(halfWidthM) => setBody({ halfWidthM })}
        />
      </FieldGroup>
      <FieldGroup
        title="Motors and program"
        note="How fast the wheels can follow a command, and how often the program gives one."
      >
        <NumberField
          label="Top speed"
          unit={CM_PER_S}
          min={1}
          max={1000}
          value={robot.motors.maxSpeedMPerS}
          onChange={(maxSpeedMPerS) => setMotors({ maxSpeedMPerS })}
        />
        <NumberField
          label="Acceleration"
          unit={CM_PER_S2}
          min={1}
          max={5000}
          value={robot.motors.maxAccelerationMPerS2}
          onChange={(maxAccelerationMPerS2) => setMotors({ maxAccelerationMPerS2 })}
        />
        <NumberField
          label="Lag"
          unit={MILLISECONDS}
          min={1}
          max={1000}
          value={robot.motors.lagS}
          onChange={(lagS) => setMotors({ lagS })}
        />
        <NumberField
          label="Loop period"
          unit={MILLISECONDS}
          min={1}
          max={500}
          value={robot.loopPeriodS}
          onChange={(loopPeriodS) => set({ loopPeriodS })}
        />
      </FieldGroup>
    </>
  );
}
