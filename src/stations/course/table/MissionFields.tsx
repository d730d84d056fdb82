import { MISSION, POSE, WINDOW } from '../../../core/table/description';
import type { Mission, Table } from '../../../core/table/table';
import { Button } from '../../../ui/Button';
import { F } from './courseForm';
import { MissionParts } from './MissionParts';
import styles from './TableStation.module.css';

interface Props {
  /** Which of the table's missions. */
  at: number;
  mission: Mission;
  table: Table;
  onChange(mission: Mission): void;
  onRemove(): void;
}

/** What has to be worked before, else this one does not count. */
function After({ mission, table, onChange }: Pick<Props, 'mission' | 'table' | 'onChange'>) {
  const others = table.missions.filter(({ id }) => id !== mission.id);
  if (others.length === 0) return null;
  return (
    <fieldset className={styles.after}>
      <legend>Counts only after</legend>
      {others.map(({ id, name }) => (
        <label key={id}>
          <input
            type="checkbox"
            checked={mission.after.includes(id)}
            onChange={({ target: { checked } }) =>
              onChange({
                ...mission,
                after: checked ? [...mission.after, id] : mission.after.filter((one) => one !== id),
              })
            }
          />{' '}
          {name}
        </label>
      ))}
    </fieldset>
  );
}

/** Where the robot must stand to work a mission, how exactly, and what it is worth. */
export function MissionFields({ at, mission, table, onChange, onRemove }: Props) {
  const of = `table.missions.${at}`;
  const xM = { ...POSE.xM, min: 0, max: table.widthM };
  const yM = { ...POSE.yM, min: 0, max: table.heightM };
  return (
    <div className={styles.missionFields}>
      <F.Values of={of} fields={MISSION} />
      <F.Values of={`${of}.pose`} fields={{ ...POSE, xM, yM }} />
      <F.Values of={`${of}.window`} fields={WINDOW} />
      <MissionParts {...{ of, mission, table, onChange }} />
      <After {...{ mission, table, onChange }} />
      <Button onClick={onRemove}>
        Take {mission.name.trim() === '' ? 'this mission' : `the ${mission.name}`} away
      </Button>
    </div>
  );
}
