import { MOUNTING } from '../../core/robot/description';
import { SUMMARIES } from '../../core/robot/robotSummary';
import { Button } from '../../ui/Button';
import { Select } from '../../ui/fields/Select';
import { F, FieldGroup, type RobotProps } from './FieldGroup';
import styles from './RobotStation.module.css';

const MOST = 12;

/** A name that nothing else has. */
function freeName(taken: readonly string[], n = taken.length + 1): string {
  const name = `attachment ${n}`;
  return taken.includes(name) ? freeName(taken, n + 1) : name;
}

/** What can be mounted on the robot, how large it is then, and what is on it now. */
export function MountingFields({ robot, onChange }: RobotProps) {
  const { mountings, mounted, body } = robot;
  const names = mountings.map(({ name }) => name);
  const add = () =>
    onChange({
      ...robot,
      mountings: [...mountings, { name: freeName(names), ...body, underM: 0, armStartRad: 0 }],
    });
  const takeAway = (at: number) =>
    onChange({
      ...robot,
      mountings: mountings.toSpliced(at, 1),
      mounted: mounted === names[at] ? null : mounted,
    });
  return (
    <FieldGroup
      title="What can be mounted"
      summary={SUMMARIES.mountings(robot)}
      note="How far the robot reaches with it on, from the middle of the axle; routes say which of them they drive with."
    >
      {mountings.map(({ name }, at) => (
        <section key={at} aria-label={name} className={styles.mounting}>
          <F.Values of={`robot.mountings.${at}`} fields={MOUNTING} />
          <div className={styles.wide}>
            <Button look="bare" onClick={() => takeAway(at)}>
              Take {name.trim() === '' ? 'this' : `“${name}”`} away
            </Button>
          </div>
        </section>
      ))}
      {names.length > 0 && (
        <Select
          label="On it now"
          value={mounted ?? ''}
          options={[
            { value: '', label: 'nothing' },
            ...names.map((name) => ({ value: name, label: name })),
          ]}
          onChange={(name) => onChange({ ...robot, mounted: name === '' ? null : name })}
        />
      )}
      <div className={styles.wide}>
        <Button disabled={mountings.length >= MOST} onClick={add}>
          + Something to mount
        </Button>
      </div>
    </FieldGroup>
  );
}
