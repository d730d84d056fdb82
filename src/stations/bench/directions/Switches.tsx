import type { Robot } from '../../../core/robot/robot';
import { devicesOf } from '../../../core/devices/ofRobot';
import { Choice } from '../../../ui/fields/Choice';
import styles from '../Bench.module.css';

interface Props {
  robot: Robot;
  /** What each switch read while it was pressed, by its id, as far as it was looked at. */
  pressed: Readonly<Record<string, boolean>>;
  onPressed(unitId: string, reads: boolean): void;
}

/** Each switch pressed once: many read false while they are. */
export function Switches({ robot, pressed, onPressed }: Props) {
  const switches = devicesOf(robot, 'touch sensor');
  if (switches.length === 0) return null;
  return (
    <section aria-label="Press each switch" className={styles.tool}>
      <h2>Press each switch</h2>
      <p>Press it and keep it pressed: what does the robot’s screen show of it?</p>
      {switches.map(({ id, label }) => {
        const reads = pressed[id];
        return (
          <Choice
            key={id}
            label={`${label}, pressed`}
            value={reads === undefined ? null : reads ? 'true' : 'false'}
            options={[
              { value: 'true', label: '1, or true' },
              { value: 'false', label: '0, or false' },
            ]}
            onChange={(value) => onPressed(id, value === 'true')}
          />
        );
      })}
    </section>
  );
}
