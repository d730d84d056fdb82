import { ROBOT_ERRORS } from '../../core/robot/description';
import type { Robot } from '../../core/robot/robot';
import { SUMMARIES } from '../../core/robot/robotSummary';
import { BuildFacts } from './BuildFields';
import { DriveFields } from './DriveFields';
import { F, FieldGroup, type RobotProps, type StockProps } from './FieldGroup';
import { MountingFields } from './MountingFields';
import { ProgramFields } from './ProgramFields';
import { DeviceList } from './DeviceList';

function ErrorFields({ robot }: { robot: Robot }) {
  return (
    <FieldGroup
      title="What the simulation assumes to be wrong"
      summary={SUMMARIES.errors(robot)}
      note="How far the real robot is from the figures above. Leave 0 where you do not know."
    >
      <F.Values of="robot.errors" fields={ROBOT_ERRORS} />
    </FieldGroup>
  );
}

/** All values of a robot's record: its units first, the rest in groups. */
export function RobotFields({ onStock, ...props }: RobotProps & StockProps) {
  const { robot } = props;
  return (
    <>
      <F.Text name="name" label="Name" maxLength={80} />
      <DeviceList {...props} onStock={onStock} />
      <DriveFields robot={robot} />
      <MountingFields {...props} />
      <BuildFacts robot={robot} />
      <ProgramFields {...props} />
      <ErrorFields robot={robot} />
    </>
  );
}
