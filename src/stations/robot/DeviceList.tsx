import { ulid } from 'ulid';
import { sensorSentence, wantedOf } from '../../core/robot/robotSummary';
import { KINDS, kindOf } from '../../core/devices/registry';
import type { Device } from '../../core/devices/device';
import { portSentence, wiringProblems } from '../../core/course/wiring';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { F, FieldGroup, type RobotProps, type StockProps } from './FieldGroup';
import { PortsField } from './PortsField';
import styles from './RobotStation.module.css';
import { DeviceRow } from './DeviceRow';

/** Motors and sensors as labelled units with their ports. */
export function DeviceList({ robot, onChange, onStock }: RobotProps & StockProps) {
  const { build } = robot;
  const setDevices = (units: Device[]) => onChange({ ...robot, units });
  // A wheel has one motor: it is offered where it was removed.
  const offered = KINDS.map(({ kind }) => kind).filter(
    (kind) => kindOf(kind).isDriven !== true || !robot.units.some((unit) => unit.kind === kind),
  );
  const remove = ({ id }: Device) => setDevices(robot.units.filter((unit) => unit.id !== id));
  const add = async (kind: Device['kind']) => {
    const { newDevice } = await import('../../core/devices/newDevice');
    setDevices([...robot.units, newDevice(ulid(), kind, robot.units)]);
  };
  return (
    <section aria-label="Motors and sensors" className={styles.units}>
      <h2>Motors and sensors</h2>
      <p className="faint">
        {sensorSentence(robot)} {portSentence(robot)}
      </p>
      {wiringProblems(robot).map((sentence) => (
        <Notice key={sentence} tone="careful">
          {sentence}
        </Notice>
      ))}
      {F.useNow().robot.units.map((unit, at) => (
        <DeviceRow
          key={unit.id}
          {...{ at, unit }}
          ports={build.ports}
          onChange={(changed) =>
            setDevices(robot.units.map((one, i) => (i === at ? changed : one)))
          }
          onRemove={() => remove(unit)}
          onStock={() => void onStock(unit).then((there) => there && remove(unit))}
        />
      ))}
      <div className={styles.actions} role="group" aria-label="Add a unit">
        {offered.map((kind) => (
          <Button key={kind} onClick={() => void add(kind)}>
            + {kind}
          </Button>
        ))}
      </div>
      <FieldGroup
        title="Ports"
        summary={`${build.ports.map(({ name }) => name).join(', ')}.`}
        wanted={wantedOf(robot).ports}
        note="A unit in a port that does not take it is said above."
      >
        <PortsField
          ports={build.ports}
          onChange={(ports) => onChange({ ...robot, build: { ...build, ports } })}
        />
      </FieldGroup>
    </section>
  );
}
