import type { ReactNode } from 'react';
import type { DistanceSensor, Robot } from '../../core/robot';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import {
  CM,
  CM_PER_S,
  CM_PER_S2,
  DEG,
  DEG_PER_SQRT_S,
  DRIFT_DEG_PER_S,
  MILLISECONDS,
  MM,
  PERCENT,
  PLAIN,
} from '../../ui/units';
import styles from './RobotStation.module.css';

interface Props {
  robot: Robot;
  onChange(robot: Robot): void;
}

function Group({ title, note, children }: { title: string; note: string; children: ReactNode }) {
  return (
    <fieldset className={styles.group}>
      <legend>{title}</legend>
      <p className="faint">{note}</p>
      <div className={styles.fields}>{children}</div>
    </fieldset>
  );
}

function DriveFields({ robot, onChange }: Props) {
  const set = (part: Partial<Robot>) => onChange({ ...robot, ...part });
  const setBody = (part: Partial<Robot['body']>) => set({ body: { ...robot.body, ...part } });
  const setMotors = (part: Partial<Robot['motors']>) => set({ motors: { ...robot.motors, ...part } });
  return (
    <>
      <Group title="Drive" note="As measured with a ruler; the track is the distance between the two wheels.">
        <NumberField label="Wheel diameter" unit={MM} min={5} max={1000} value={robot.wheelDiameterM} onChange={(wheelDiameterM) => set({ wheelDiameterM })} />
        <NumberField label="Track width" unit={MM} min={10} max={2000} value={robot.trackM} onChange={(trackM) => set({ trackM })} />
        <NumberField label="Motor turns per wheel turn" unit={PLAIN} min={0.01} max={1000} value={robot.gearRatio} onChange={(gearRatio) => set({ gearRatio })} />
        <NumberField label="Counts per motor degree" unit={PLAIN} min={0.01} max={10000} value={robot.encoderCountsPerMotorDegree} onChange={(encoderCountsPerMotorDegree) => set({ encoderCountsPerMotorDegree })} />
      </Group>
      <Group title="Body" note="From the middle of the axle.">
        <NumberField label="To the front" unit={MM} min={0} max={2000} value={robot.body.frontM} onChange={(frontM) => setBody({ frontM })} />
        <NumberField label="To the rear" unit={MM} min={0} max={2000} value={robot.body.rearM} onChange={(rearM) => setBody({ rearM })} />
        <NumberField label="To either side" unit={MM} min={5} max={2000} value={robot.body.halfWidthM} onChange={(halfWidthM) => setBody({ halfWidthM })} />
      </Group>
      <Group title="Motors and program" note="How fast the wheels can follow a command, and how often the program gives one.">
        <NumberField label="Top speed" unit={CM_PER_S} min={1} max={1000} value={robot.motors.maxSpeedMPerS} onChange={(maxSpeedMPerS) => setMotors({ maxSpeedMPerS })} />
        <NumberField label="Acceleration" unit={CM_PER_S2} min={1} max={5000} value={robot.motors.maxAccelerationMPerS2} onChange={(maxAccelerationMPerS2) => setMotors({ maxAccelerationMPerS2 })} />
        <NumberField label="Lag" unit={MILLISECONDS} min={1} max={1000} value={robot.motors.lagS} onChange={(lagS) => setMotors({ lagS })} />
        <NumberField label="Loop period" unit={MILLISECONDS} min={1} max={500} value={robot.loopPeriodS} onChange={(loopPeriodS) => set({ loopPeriodS })} />
      </Group>
    </>
  );
}

function GyroFields({ robot, onChange }: Props) {
  const set = (part: Partial<Robot['gyro']>) => onChange({ ...robot, gyro: { ...robot.gyro, ...part } });
  const { gyro } = robot;
  return (
    <Group title="Heading sensor" note="Drift is how fast the reading creeps while the robot stands still.">
      <NumberField label="Drift" unit={DRIFT_DEG_PER_S} min={-20} max={20} value={gyro.driftRadPerS} onChange={(driftRadPerS) => set({ driftRadPerS })} />
      <NumberField label="Drift differs by ±" unit={DRIFT_DEG_PER_S} min={0} max={20} value={gyro.driftSdRadPerS} onChange={(driftSdRadPerS) => set({ driftSdRadPerS })} />
      <NumberField label="Random walk" unit={DEG_PER_SQRT_S} min={0} max={5} value={gyro.noiseRadPerSqrtS} onChange={(noiseRadPerSqrtS) => set({ noiseRadPerSqrtS })} />
      <NumberField label="Scale error" unit={PERCENT} min={-49} max={49} value={gyro.scaleError} onChange={(scaleError) => set({ scaleError })} />
      <NumberField label="Smallest step" unit={DEG} min={0} max={10} value={gyro.quantumRad} onChange={(quantumRad) => set({ quantumRad })} />
      <NumberField label="Period" unit={MILLISECONDS} min={1} max={500} value={gyro.periodS} onChange={(periodS) => set({ periodS })} />
      <NumberField label="Latency" unit={MILLISECONDS} min={0} max={500} value={gyro.latencyS} onChange={(latencyS) => set({ latencyS })} />
    </Group>
  );
}

const NEW_SENSOR: DistanceSensor = {
  aheadM: 0.1,
  leftM: 0,
  beamHalfAngleRad: 0.2,
  minM: 0.03,
  maxM: 2,
  offsetM: 0,
  scale: 1,
  noiseM: 0.003,
  quantumM: 0.001,
  lostEchoShare: 0.01,
  periodS: 0.03,
};

function DistanceFields({ robot, onChange }: Props) {
  const sensor = robot.distance;
  const set = (part: Partial<DistanceSensor>) =>
    onChange({ ...robot, distance: { ...(sensor ?? NEW_SENSOR), ...part } });
  return (
    <Group title="Distance sensor" note="Looks ahead. Reading = offset + scale × true distance.">
      <Choice
        label="On this robot"
        value={sensor === null ? 'no' : 'yes'}
        options={[
          { value: 'yes', label: 'yes' },
          { value: 'no', label: 'no' },
        ]}
        onChange={(there) => onChange({ ...robot, distance: there === 'yes' ? NEW_SENSOR : null })}
      />
      {sensor !== null && (
        <>
          <NumberField label="Ahead of the axle" unit={MM} min={-2000} max={2000} value={sensor.aheadM} onChange={(aheadM) => set({ aheadM })} />
          <NumberField label="Left of the middle" unit={MM} min={-1000} max={1000} value={sensor.leftM} onChange={(leftM) => set({ leftM })} />
          <NumberField label="Offset" unit={MM} min={-200} max={200} value={sensor.offsetM} onChange={(offsetM) => set({ offsetM })} />
          <NumberField label="Scale" unit={PLAIN} min={0.5} max={2} value={sensor.scale} onChange={(scale) => set({ scale })} />
          <NumberField label="Noise" unit={MM} min={0} max={200} value={sensor.noiseM} onChange={(noiseM) => set({ noiseM })} />
          <NumberField label="Half beam" unit={DEG} min={0} max={60} value={sensor.beamHalfAngleRad} onChange={(beamHalfAngleRad) => set({ beamHalfAngleRad })} />
          <NumberField label="Lost echoes" unit={PERCENT} min={0} max={90} value={sensor.lostEchoShare} onChange={(lostEchoShare) => set({ lostEchoShare })} />
          <NumberField label="Farthest" unit={CM} min={5} max={1000} value={sensor.maxM} onChange={(maxM) => set({ maxM })} />
          <NumberField label="Period" unit={MILLISECONDS} min={1} max={500} value={sensor.periodS} onChange={(periodS) => set({ periodS })} />
        </>
      )}
    </Group>
  );
}

function ErrorFields({ robot, onChange }: Props) {
  const set = (part: Partial<Robot['errors']>) => onChange({ ...robot, errors: { ...robot.errors, ...part } });
  const { errors } = robot;
  return (
    <Group title="What the simulation assumes to be wrong" note="How far the real robot is from the figures above. Leave 0 where you do not know.">
      <NumberField label="Wheels larger by" unit={PERCENT} min={-29} max={29} value={errors.wheelScaleError} onChange={(wheelScaleError) => set({ wheelScaleError })} />
      <NumberField label="Right wheel larger by" unit={PERCENT} min={-29} max={29} value={errors.wheelDifference} onChange={(wheelDifference) => set({ wheelDifference })} />
      <NumberField label="Track wider by" unit={PERCENT} min={-29} max={29} value={errors.trackScaleError} onChange={(trackScaleError) => set({ trackScaleError })} />
      <NumberField label="Slip scatter after 1 m" unit={MM} min={0} max={200} value={errors.slipMPerSqrtM} onChange={(slipMPerSqrtM) => set({ slipMPerSqrtM })} />
    </Group>
  );
}

/** All values of a robot's record, in groups. */
export function RobotFields(props: Props) {
  return (
    <>
      <DriveFields {...props} />
      <GyroFields {...props} />
      <DistanceFields {...props} />
      <ErrorFields {...props} />
    </>
  );
}
