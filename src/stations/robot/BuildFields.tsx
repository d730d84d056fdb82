import { ulid } from 'ulid';
import {
  buildSchema,
  rawSignsSchema,
  unitRoleSchema,
  type Robot,
  type Unit,
} from '../../core/robot';
import { portSentence, unknownPorts } from '../../core/wiring';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Notice } from '../../ui/Notice';
import { NumberField } from '../../ui/NumberField';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { MM } from '../../ui/units';
import { FieldGroup, type RobotFieldsProps } from './FieldGroup';
import { NEW_SENSOR } from './newSensor';
import { PortsField } from './PortsField';
import styles from './RobotStation.module.css';

type Build = Robot['build'];
const ROLES = unitRoleSchema.options.map((value) => ({ value, label: value }));
const YES_NO = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
] as const;
const GROWS = [
  { value: '1', label: 'grows' },
  { value: '-1', label: 'shrinks' },
] as const;

function UnitRow({
  unit,
  ports,
  onChange,
  onRemove,
}: {
  unit: Unit;
  ports: readonly string[];
  onChange(unit: Unit): void;
  onRemove(): void;
}) {
  const offered = [...new Set([...ports, ...(unit.port === '' ? [] : [unit.port])])];
  return (
    <div className={styles.unit} role="group" aria-label={unit.label}>
      <Select
        label="What"
        value={unit.role}
        options={ROLES}
        onChange={(role) => onChange({ ...unit, role: role as Unit['role'] })}
      />
      <TextField
        label="Label on it"
        value={unit.label}
        maxLength={40}
        onChange={(label) => onChange({ ...unit, label })}
      />
      <Select
        label="Port"
        value={unit.port}
        options={[
          { value: '', label: 'none' },
          ...offered.map((port) => ({ value: port, label: port })),
        ]}
        onChange={(port) => onChange({ ...unit, port })}
      />
      <NumberField
        label="Height"
        unit={MM}
        min={0}
        max={1000}
        value={unit.heightM}
        onChange={(heightM) => onChange({ ...unit, heightM })}
        onClear={() => onChange({ ...unit, heightM: null })}
      />
      <TextField
        label="Mounted"
        value={unit.mounting}
        maxLength={40}
        onChange={(mounting) => onChange({ ...unit, mounting })}
      />
      <Button look="bare" aria-label={`Remove ${unit.label}`} onClick={onRemove}>
        Remove
      </Button>
    </div>
  );
}

/** Motors and sensors as labelled units with their ports. */
export function UnitFields({ robot, onChange }: RobotFieldsProps) {
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
        {build.units.map((unit) => (
          <UnitRow
            key={unit.id}
            unit={unit}
            ports={build.ports}
            onChange={(next) =>
              onChange({
                ...robot,
                // A distance sensor among the units is on the robot.
                distance:
                  next.role === 'distance sensor' ? (robot.distance ?? NEW_SENSOR) : robot.distance,
                build: {
                  ...build,
                  units: build.units.map((one) => (one.id === next.id ? next : one)),
                },
              })
            }
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
export function BuildFacts({ robot, onChange }: RobotFieldsProps) {
  const { build, signs } = robot;
  const set = (part: Partial<Build>) => onChange({ ...robot, build: { ...build, ...part } });
  const setSign = (part: Partial<Robot['signs']>) =>
    onChange({ ...robot, signs: rawSignsSchema.parse({ ...signs, ...part }) });
  return (
    <FieldGroup
      title="Directions and build"
      note="The guided check on the Bench finds the directions out; nothing else ever turns a sign round."
    >
      <Choice
        label="Raw heading, turning left"
        value={String(signs.heading) as '1' | '-1'}
        options={GROWS}
        onChange={(value) => setSign({ heading: Number(value) as 1 | -1 })}
      />
      <Choice
        label="Left motor, rolling forward"
        value={String(signs.leftMotor) as '1' | '-1'}
        options={GROWS}
        onChange={(value) => setSign({ leftMotor: Number(value) as 1 | -1 })}
      />
      <Choice
        label="Right motor, rolling forward"
        value={String(signs.rightMotor) as '1' | '-1'}
        options={GROWS}
        onChange={(value) => setSign({ rightMotor: Number(value) as 1 | -1 })}
      />
      <Choice
        label="Driven wheels"
        value={String(build.drivenWheels) as '2' | '4'}
        options={[
          { value: '2', label: 'two' },
          { value: '4', label: 'four' },
        ]}
        onChange={(value) => set({ drivenWheels: Number(value) as 2 | 4 })}
      />
      <Choice
        label="Wheels slide sideways in turns"
        value={build.skids ? 'yes' : 'no'}
        options={YES_NO}
        onChange={(value) => set({ skids: value === 'yes' })}
      />
      <Choice
        label="Encoders roll over"
        value={build.encodersRollOver ? 'yes' : 'no'}
        options={YES_NO}
        onChange={(value) => set({ encodersRollOver: value === 'yes' })}
      />
      <Choice
        label="Motors on a stop"
        value={build.onStop}
        options={[
          { value: 'coast', label: 'coast' },
          { value: 'brake', label: 'brake' },
          { value: 'hold', label: 'hold' },
        ]}
        onChange={(onStop) => set({ onStop })}
      />
      <Select
        label="Starting a program zeroes the heading"
        value={build.startZeroesHeading}
        options={buildSchema.shape.startZeroesHeading
          .unwrap()
          .options.map((value) => ({ value, label: value }))}
        onChange={(value) => set({ startZeroesHeading: value as Build['startZeroesHeading'] })}
      />
      <TextField
        label="Battery"
        value={build.battery}
        maxLength={40}
        onChange={(battery) => set({ battery })}
      />
    </FieldGroup>
  );
}
