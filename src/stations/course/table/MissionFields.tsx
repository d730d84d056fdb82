import { MISSION, POSE, WINDOW } from '../../../core/table/description';
import type { Mission, Table } from '../../../core/table/table';
import { Button } from '../../../ui/Button';
import { F } from './courseForm';
import styles from './TableStation.module.css';

interface Props {
  /** Which of the table's missions. */
  at: number;
  mission: Mission;
  table: Table;
  onRemove(): void;
}

/** Where the robot must stand to work a mission, how exactly, and what it is worth. */
export function MissionFields({ at, mission, table, onRemove }: Props) {
  const of = `table.missions.${at}`;
  const xM = { ...POSE.xM, min: 0, max: table.widthM };
  const yM = { ...POSE.yM, min: 0, max: table.heightM };
  return (
    <div className={styles.missionFields}>
      <F.Values of={of} fields={MISSION} />
      <F.Values of={`${of}.pose`} fields={{ ...POSE, xM, yM }} />
      <F.Values of={`${of}.window`} fields={WINDOW} />
      <Button onClick={onRemove}>
        Take {mission.name.trim() === '' ? 'this mission' : `the ${mission.name}`} away
      </Button>
    </div>
  );
}
