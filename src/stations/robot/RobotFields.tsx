import type { Robot } from '../../core/robot';
import { NumberField } from '../../ui/NumberField';
import { MM, PERCENT } from '../../ui/units';
import { BuildFacts, UnitFields } from './BuildFields';
import { DriveFields } from './DriveFields';
import { FieldGroup, type RobotFieldsProps } from './FieldGroup';
import { DistanceFields, GyroFields } from './SensorFields';

function ErrorFields({ robot, onChange }: RobotFieldsProps) {
  const set = (part: Partial<Robot['errors']>) =>
    onChange({ ...robot, errors: { ...robot.errors, ...part } });
  const { errors } = robot;
  return (
    <FieldGroup
      title="What the simulation assumes to be wrong"
      note="How far the real robot is from the figures above. Leave 0 where you do not know."
    >
      <NumberField
        label="Wheels larger by"
        unit={PERCENT}
        min={-29}
        max={29}
        value={errors.wheelScaleError}
        onChange={(wheelScaleError) => set({ wheelScaleError })}
      />
      <NumberField
        label="Right wheel larger by"
        unit={PERCENT}
        min={-29}
        max={29}
        value={errors.wheelDifference}
        onChange={(wheelDifference) => set({ wheelDifference })}
      />
      <NumberField
        label="Track wider by"
        unit={PERCENT}
        min={-29}
        max={29}
        value={errors.trackScaleError}
        onChange={(trackScaleError) => set({ trackScaleError })}
      />
      <NumberField
        label="Slip scatter after 1 m"
        unit={MM}
        min={0}
        max={200}
        value={errors.slipMPerSqrtM}
        onChange={(slipMPerSqrtM) => set({ slipMPerSqrtM })}
      />
    </FieldGroup>
  );
}

/** All values of a robot's record, in groups. */
export function RobotFields(props: RobotFieldsProps) {
  return (
    <>
      <DriveFields {...props} />
      <UnitFields {...props} />
      <BuildFacts {...props} />
      <GyroFields {...props} />
      <DistanceFields {...props} />
      <ErrorFields {...props} />
    </>
  );
}
