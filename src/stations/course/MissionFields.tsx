import type { Mission, Table } from '../../core/course/table';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { TextField } from '../../ui/TextField';
import { DEG, MM, POINTS } from '../../ui/units';
import styles from './TableStation.module.css';

interface Props {
  mission: Mission;
  table: Table;
  onChange(mission: Mission): void;
  onRemove(): void;
}

/** Where the robot must stand to work a mission, how exactly, and what it is worth. */
export function MissionFields({ mission, table, onChange, onRemove }: Props) {
  const { pose, window } = mission;
  const setPose = (part: Partial<Mission['pose']>) =>
    onChange({ ...mission, pose: { ...pose, ...part } });
  const setWindow = (part: Partial<Mission['window']>) =>
    onChange({ ...mission, window: { ...window, ...part } });
  return (
    <div className={styles.missionFields}>
      <TextField
        label="Name"
        value={mission.name}
        maxLength={60}
        onChange={(name) => onChange({ ...mission, name })}
      />
      <NumberField
        label="Worth"
        unit={POINTS}
        min={0}
        max={1000}
        value={mission.points}
        onChange={(points) => onChange({ ...mission, points: Math.round(points) })}
      />
      <NumberField
        label="Robot’s axle at x"
        unit={MM}
        min={0}
        max={table.widthM * 1000}
        value={pose.xM}
        onChange={(xM) => setPose({ xM })}
      />
      <NumberField
        label="at y"
        unit={MM}
        min={0}
        max={table.heightM * 1000}
        value={pose.yM}
        onChange={(yM) => setPose({ yM })}
      />
      <NumberField
        label="looking to"
        unit={DEG}
        min={-360}
        max={360}
        value={pose.headingRad}
        onChange={(headingRad) => setPose({ headingRad })}
      />
      <NumberField
        label="Works along ±"
        unit={MM}
        min={1}
        max={1000}
        value={window.alongM}
        onChange={(alongM) => setWindow({ alongM })}
      />
      <NumberField
        label="across ±"
        unit={MM}
        min={1}
        max={1000}
        value={window.acrossM}
        onChange={(acrossM) => setWindow({ acrossM })}
      />
      <NumberField
        label="heading ±"
        unit={DEG}
        min={0.1}
        max={180}
        value={window.headingRad}
        onChange={(headingRad) => setWindow({ headingRad })}
      />
      <Button onClick={onRemove}>Take the {mission.name} away</Button>
    </div>
  );
}
