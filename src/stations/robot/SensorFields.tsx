import type { DistanceSensor, Robot } from '../../core/robot';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import {
  CM,
  DEG,
  DEG_PER_SQRT_S,
  DRIFT_DEG_PER_S,
  MILLISECONDS,
  MM,
  PERCENT,
  PLAIN,
} from '../../ui/units';
import { FieldGroup, type RobotFieldsProps } from './FieldGroup';
import { NEW_SENSOR } from './newSensor';

/** The heading sensor. */
export function GyroFields({ robot, onChange }: RobotFieldsProps) {
  const set = (part: Partial<Robot['gyro']>) =>
    onChange({ ...robot, gyro: { ...robot.gyro, ...part } });
  const { gyro } = robot;
  return (
    <FieldGroup
      title="Heading sensor"
      note="Drift is how fast the reading creeps while the robot stands still. It wanders by itself as well: so much in the first second, and more with the root of the time."
    >
      <NumberField
        label="Drift"
        unit={DRIFT_DEG_PER_S}
        min={-20}
        max={20}
        value={gyro.driftRadPerS}
        onChange={(driftRadPerS) => set({ driftRadPerS })}
      />
      <NumberField
        label="Drift differs by ±"
        unit={DRIFT_DEG_PER_S}
        min={0}
        max={20}
        value={gyro.driftSdRadPerS}
        onChange={(driftSdRadPerS) => set({ driftSdRadPerS })}
      />
      <NumberField
        label="Wanders by itself"
        unit={DEG_PER_SQRT_S}
        min={0}
        max={5}
        value={gyro.noiseRadPerSqrtS}
        onChange={(noiseRadPerSqrtS) => set({ noiseRadPerSqrtS })}
      />
      <NumberField
        label="Scale error"
        unit={PERCENT}
        min={-49}
        max={49}
        value={gyro.scaleError}
        onChange={(scaleError) => set({ scaleError })}
      />
      <NumberField
        label="Smallest step"
        unit={DEG}
        min={0}
        max={10}
        value={gyro.quantumRad}
        onChange={(quantumRad) => set({ quantumRad })}
      />
      <NumberField
        label="Period"
        unit={MILLISECONDS}
        min={1}
        max={500}
        value={gyro.periodS}
        onChange={(periodS) => set({ periodS })}
      />
      <NumberField
        label="Latency"
        unit={MILLISECONDS}
        min={0}
        max={500}
        value={gyro.latencyS}
        onChange={(latencyS) => set({ latencyS })}
      />
    </FieldGroup>
  );
}

/** The distance sensor, if there is one. */
export function DistanceFields({ robot, onChange }: RobotFieldsProps) {
  const sensor = robot.distance;
  const set = (part: Partial<DistanceSensor>) =>
    onChange({ ...robot, distance: { ...(sensor ?? NEW_SENSOR), ...part } });
  return (
    <FieldGroup
      title="Distance sensor"
      note="Looks ahead. Reading = offset + scale × true distance."
    >
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
          <NumberField
            label="Ahead of the axle"
            unit={MM}
            min={-2000}
            max={2000}
            value={sensor.aheadM}
            onChange={(aheadM) => set({ aheadM })}
          />
          <NumberField
            label="Left of the middle"
            unit={MM}
            min={-1000}
            max={1000}
            value={sensor.leftM}
            onChange={(leftM) => set({ leftM })}
          />
          <NumberField
            label="Offset"
            unit={MM}
            min={-200}
            max={200}
            value={sensor.offsetM}
            onChange={(offsetM) => set({ offsetM })}
          />
          <NumberField
            label="Scale"
            unit={PLAIN}
            min={0.5}
            max={2}
            value={sensor.scale}
            onChange={(scale) => set({ scale })}
          />
          <NumberField
            label="Noise"
            unit={MM}
            min={0}
            max={200}
            value={sensor.noiseM}
            onChange={(noiseM) => set({ noiseM })}
          />
          <NumberField
            label="Half beam"
            unit={DEG}
            min={0}
            max={60}
            value={sensor.beamHalfAngleRad}
            onChange={(beamHalfAngleRad) => set({ beamHalfAngleRad })}
          />
          <NumberField
            label="Lost echoes"
            unit={PERCENT}
            min={0}
            max={90}
            value={sensor.lostEchoShare}
            onChange={(lostEchoShare) => set({ lostEchoShare })}
          />
          <NumberField
            label="Farthest"
            unit={CM}
            min={5}
            max={1000}
            value={sensor.maxM}
            onChange={(maxM) => set({ maxM })}
          />
          <NumberField
            label="Period"
            unit={MILLISECONDS}
            min={1}
            max={500}
            value={sensor.periodS}
            onChange={(periodS) => set({ periodS })}
          />
        </>
      )}
    </FieldGroup>
  );
}
