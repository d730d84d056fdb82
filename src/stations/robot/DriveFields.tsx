import { BODY, LOOP, MOTORS, SIZES } from '../../core/robot/description';
import type { Robot } from '../../core/robot/robot';
import { SUMMARIES } from '../../core/robot/robotSummary';
import { F, FieldGroup } from './FieldGroup';

/** Wheels, body, motors. */
export const DriveFields = ({ robot }: { robot: Robot }) => (
  <>
    <FieldGroup
      title="Wheels"
      summary={SUMMARIES.drive(robot)}
      note="As measured with a ruler; the track is the distance between the two wheels."
    >
      <F.Values of="robot" fields={SIZES} />
    </FieldGroup>
    <FieldGroup title="Body" summary={SUMMARIES.body(robot)} note="From the middle of the axle.">
      <F.Values of="robot.body" fields={BODY} />
    </FieldGroup>
    <FieldGroup
      title="Motors and program"
      summary={SUMMARIES.motors(robot)}
      note="How fast the wheels can follow a command, and how often the program gives one."
    >
      <F.Values of="robot.motors" fields={MOTORS} />
      <F.Values of="robot" fields={LOOP} />
    </FieldGroup>
  </>
);
