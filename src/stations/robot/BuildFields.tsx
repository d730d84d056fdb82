import { CARE_OF_BATTERIES } from '../../core/course/care';
import { buildSchema, type Robot } from '../../core/robot/robot';
import { SUMMARIES, wantedOf } from '../../core/robot/robotSummary';
import { F, FieldGroup } from './FieldGroup';

const YES_NO = [
  { value: false, label: 'no' },
  { value: true, label: 'yes' },
];
const GROWS = [
  { value: 1, label: 'grows' },
  { value: -1, label: 'shrinks' },
];

/** Which way readings grow, and facts about how it is built. */
export const BuildFacts = ({ robot }: { robot: Robot }) => (
  <FieldGroup
    title="Directions and build"
    summary={SUMMARIES.directions(robot)}
    wanted={wantedOf(robot).directions}
    note="The guided check on the Bench finds the directions out; nothing else ever turns a sign round."
  >
    <F.Choice name="robot.signs.heading" label="Raw heading, turning left" options={GROWS} />
    <F.Choice name="robot.signs.leftMotor" label="Left motor, rolling forward" options={GROWS} />
    <F.Choice name="robot.signs.rightMotor" label="Right motor, rolling forward" options={GROWS} />
    <F.Choice
      name="robot.build.drivenWheels"
      label="Driven wheels"
      options={[
        { value: 2, label: 'two' },
        { value: 4, label: 'four' },
      ]}
    />
    <F.Choice name="robot.build.skids" label="Wheels slide sideways in turns" options={YES_NO} />
    <F.Choice
      name="robot.build.trailingCaster"
      label="A caster that swings round"
      options={YES_NO}
    />
    <F.Choice name="robot.build.encodersRollOver" label="Encoders roll over" options={YES_NO} />
    <F.Choice
      name="robot.build.onStop"
      label="Motors on a stop"
      options={['coast', 'brake', 'hold'].map((value) => ({ value, label: value }))}
    />
    <F.Select
      name="robot.build.startZeroesHeading"
      label="Starting a program zeroes the heading"
      options={buildSchema.shape.startZeroesHeading
        .unwrap()
        .options.map((value) => ({ value, label: value }))}
    />
    <F.Text name="robot.build.battery" label="Battery" maxLength={40} hint={CARE_OF_BATTERIES} />
  </FieldGroup>
);
