import { ulid } from 'ulid';
import { buildSchema, unitRoleSchema, type Robot, type Unit } from '../../core/robot';
import { portSentence, unknownPorts } from '../../core/wiring';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { MM } from '../../ui/units';
import { F, FieldGroup, type RobotProps } from './FieldGroup';
import { PortsField } from './PortsField';
import styles from './RobotStation.module.css';

type Build = Robot['build'];
const ROLES = unitRoleSchema.options.map((value) => ({ value, label: value }));
const YES_NO = [
  { value: false, label: 'no' },
  { value: true, label: 'yes' },
];
const GROWS = [
  { value: 1, label: 'grows' },
  { value: -1, label: 'shrinks' },
];

function UnitRow({
  at,
  unit,
  ports,
  onRemove,
}: {
  at: number;
  unit: Unit;
  ports: readonly string[];
  onRemove(): void;
}) {
  const offered = [...new Set([...ports, ...(unit.port === '' ? [] : [unit.port])])];
  return (
    <div className={styles.unit} role="group" aria-label={unit.label}>
      <F.Select name={`robot.build.units.${at}.role`} label="What" options={ROLES} />
      <F.Text name={`robot.build.units.${at}.label`} label="Label on it" maxLength={40} />
      <F.Select
        name={`robot.build.units.${at}.port`}
        label="Port"
        options={[
          { value: '', label: 'none' },
          ...offered.map((port) => ({ value: port, label: port })),
        ]}
      />
      <F.Number
        name={`robot.build.units.${at}.heightM`}
        label="Height"
        unit={MM}
        min={0}
        max={1000}
        optional
      />
      <F.Text name={`robot.build.units.${at}.mounting`} label="Mounted" maxLength={40} />
      <Button look="bare" aria-label={`Remove ${unit.label}`} onClick={onRemove}>
        Remove
      </Button>
    </div>
  );
}

/** Motors and sensors as labelled units with their ports. */
export function UnitFields({ robot, onChange }: RobotProps) {
  const { build } = robot;
  const set = (part: Partial<Build>) => onChange({ ...robot, build: { ...build, ...part } });
  const strange = unknownPorts(build);
  return (
    <FieldGroup title="Ports and units" note={portSentence(build)}>
      <div className={styles.units}>
        {strange.length > 0 && (
          <Notice tone="careful">
            {strange.map(({ label, port }) => `${label} is on port ${port}`).join(', ')}: the
            controller has no such port.
          </Notice>
        )}
        <PortsField ports={build.ports} onChange={(ports) => set({ ports })} />
        {F.useNow().robot.build.units.map((unit, at) => (
          <UnitRow
            key={unit.id}
            at={at}
            unit={unit}
            ports={build.ports}
            onRemove={() => set({ units: build.units.filter(({ id }) => id !== unit.id) })}
          />
        ))}
        <Button
          onClick={() =>
            set({
              units: [
                ...build.units,
                {
                  id: ulid(),
                  role: 'other',
                  label: `unit ${build.units.length + 1}`,
                  port: '',
                  heightM: null,
                  mounting: '',
                },
              ],
            })
          }
        >
          + Unit
        </Button>
      </div>
    </FieldGroup>
  );
}

/** Which way readings grow, and facts about how it is built. */
export const BuildFacts = () => (
  <FieldGroup
    title="Directions and build"
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
    <F.Text name="robot.build.battery" label="Battery" maxLength={40} />
  </FieldGroup>
);
