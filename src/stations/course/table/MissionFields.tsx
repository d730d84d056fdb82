import type { Mission, Table } from '../../../core/table/table';
import { Button } from '../../../ui/Button';
import { DEG, SMALL_LENGTH, POINTS, HEADING } from '../../../ui/fields/units';
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
  const of = `table.missions.${at}` as const;
  return (
    <div className={styles.missionFields}>
      <F.Text name={`${of}.name`} label="Name" maxLength={60} />
      <F.Number name={`${of}.points`} label="Worth" unit={POINTS} min={0} max={1000} />
      <F.Number
        name={`${of}.pose.xM`}
        label="Robot’s axle at x"
        unit={SMALL_LENGTH}
        min={0}
        max={table.widthM * 1000}
      />
      <F.Number
        name={`${of}.pose.yM`}
        label="at y"
        unit={SMALL_LENGTH}
        min={0}
        max={table.heightM * 1000}
      />
      <F.Number
        name={`${of}.pose.headingRad`}
        label="looking to"
        unit={HEADING}
        min={-360}
        max={360}
      />
      <F.Number
        name={`${of}.window.alongM`}
        label="Works along ±"
        unit={SMALL_LENGTH}
        min={1}
        max={1000}
      />
      <F.Number
        name={`${of}.window.acrossM`}
        label="across ±"
        unit={SMALL_LENGTH}
        min={1}
        max={1000}
      />
      <F.Number name={`${of}.window.headingRad`} label="heading ±" unit={DEG} min={0.1} max={180} />
      <Button onClick={onRemove}>
        Take {mission.name.trim() === '' ? 'this mission' : `the ${mission.name}`} away
      </Button>
    </div>
  );
}
