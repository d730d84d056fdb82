import type { Robot } from '../../core/robot/robot';
import { SUMMARIES } from '../../core/robot/robotSummary';
import { SMALL_LENGTH, PERCENT } from '../../ui/fields/units';
import { BuildFacts } from './BuildFields';
import { DriveFields } from './DriveFields';
import { F, FieldGroup, type RobotProps, type StockProps } from './FieldGroup';
import { ProgramFields } from './ProgramFields';
import { UnitList } from './UnitList';

function ErrorFields({ robot }: { robot: Robot }) {
  return (
    <FieldGroup
      title="What the simulation assumes to be wrong"
      summary={SUMMARIES.errors(robot)}
      note="How far the real robot is from the figures above. Leave 0 where you do not know."
    >
      <F.Number
        name="robot.errors.wheelScaleError"
        label="Wheels larger by"
        unit={PERCENT}
        min={-29}
        max={29}
      />
      <F.Number
        name="robot.errors.wheelDifference"
        label="Right wheel larger by"
        unit={PERCENT}
        min={-29}
        max={29}
      />
      <F.Number
        name="robot.errors.trackScaleError"
        label="Track wider by"
        unit={PERCENT}
        min={-29}
        max={29}
      />
      <F.Number
        name="robot.errors.slipMPerSqrtM"
        label="Slip scatter after 1 m"
        unit={SMALL_LENGTH}
        min={0}
        max={200}
      />
    </FieldGroup>
  );
}

/** All values of a robot's record: its units first, the rest in groups. */
export function RobotFields({ onStock, ...props }: RobotProps & StockProps) {
  const { robot } = props;
  return (
    <>
      <F.Text name="name" label="Name" maxLength={80} />
      <UnitList {...props} onStock={onStock} />
      <DriveFields robot={robot} />
      <BuildFacts robot={robot} />
      <ProgramFields {...props} />
      <ErrorFields robot={robot} />
    </>
  );
}
