import { Choice } from '../../ui/Choice';
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
import { F, FieldGroup, type RobotProps } from './FieldGroup';
import { NEW_SENSOR } from './newSensor';

/** The heading sensor. */
export function GyroFields() {
  return (
    <FieldGroup
      title="Heading sensor"
      note="Drift is how fast the reading creeps while the robot stands still. It wanders by itself as well: so much in the first second, and more with the root of the time."
    >
      <F.Number
        name="robot.gyro.driftRadPerS"
        label="Drift"
        unit={DRIFT_DEG_PER_S}
        min={-20}
        max={20}
      />
      <F.Number
        name="robot.gyro.driftSdRadPerS"
        label="Drift differs by ±"
        unit={DRIFT_DEG_PER_S}
        min={0}
        max={20}
      />
      <F.Number
        name="robot.gyro.noiseRadPerSqrtS"
        label="Wanders by itself"
        unit={DEG_PER_SQRT_S}
        min={0}
        max={5}
      />
      <F.Number
        name="robot.gyro.scaleError"
        label="Scale error"
        unit={PERCENT}
        min={-49}
        max={49}
      />
      <F.Number name="robot.gyro.quantumRad" label="Smallest step" unit={DEG} min={0} max={10} />
      <F.Number name="robot.gyro.periodS" label="Period" unit={MILLISECONDS} min={1} max={500} />
      <F.Number name="robot.gyro.latencyS" label="Latency" unit={MILLISECONDS} min={0} max={500} />
    </FieldGroup>
  );
}

/** The distance sensor, if there is one. */
export function DistanceFields({ robot, onChange }: RobotProps) {
  const { distance } = F.useNow().robot;
  return (
    <FieldGroup
      title="Distance sensor"
      note="Looks ahead. Reading = offset + scale × true distance."
    >
      <Choice
        label="On this robot"
        value={distance === null ? 'no' : 'yes'}
        options={[
          { value: 'yes', label: 'yes' },
          { value: 'no', label: 'no' },
        ]}
        onChange={(there) => onChange({ ...robot, distance: there === 'yes' ? NEW_SENSOR : null })}
      />
      {distance !== null && (
        <>
          <F.Number
            name="robot.distance.aheadM"
            label="Ahead of the axle"
            unit={MM}
            min={-2000}
            max={2000}
          />
          <F.Number
            name="robot.distance.leftM"
            label="Left of the middle"
            unit={MM}
            min={-1000}
            max={1000}
          />
          <F.Number name="robot.distance.offsetM" label="Offset" unit={MM} min={-200} max={200} />
          <F.Number name="robot.distance.scale" label="Scale" unit={PLAIN} min={0.5} max={2} />
          <F.Number name="robot.distance.noiseM" label="Noise" unit={MM} min={0} max={200} />
          <F.Number
            name="robot.distance.beamHalfAngleRad"
            label="Half beam"
            unit={DEG}
            min={0}
            max={60}
          />
          <F.Number
            name="robot.distance.lostEchoShare"
            label="Lost echoes"
            unit={PERCENT}
            min={0}
            max={90}
          />
          <F.Number name="robot.distance.maxM" label="Farthest" unit={CM} min={5} max={1000} />
          <F.Number
            name="robot.distance.periodS"
            label="Period"
            unit={MILLISECONDS}
            min={1}
            max={500}
          />
        </>
      )}
    </FieldGroup>
  );
}
