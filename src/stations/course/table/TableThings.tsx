import { errorLength } from '../../../core/text/quantities';
import { ulid } from 'ulid';
import type { Mission, Table } from '../../../core/table/table';
import { Button } from '../../../ui/Button';
import { F } from './courseForm';
import { FloorFields } from './FloorFields';
import { MissionFields } from './MissionFields';
import { Share } from './Share';
import { SegmentFields } from './SegmentFields';
import styles from './TableStation.module.css';

const MOST_MISSIONS = 15;
const newMission = (table: Table): Mission => ({
  id: ulid(),
  name: `mission ${table.missions.length + 1}`,
  pose: { xM: table.widthM / 2, yM: table.heightM / 2, headingRad: 0 },
  window: { alongM: 0.02, acrossM: 0.02, headingRad: 0.0873 },
  points: 10,
});

interface Props {
  table: Table;
  /** The mission that is open. */
  selected: string | null;
  onSelect(missionId: string | null): void;
  onChange(part: Partial<Table>): void;
}

/** Missions, walls, guide lines and coloured fields, one under the other. */
export function TableThings({ table, selected, onSelect, onChange }: Props) {
  const now = F.useNow().table;
  const addMission = () => {
    const mission = newMission(table);
    onChange({ missions: [...table.missions, mission] });
    onSelect(mission.id);
  };
  return (
    <section className={styles.right} aria-label="What stands on the table">
      <h2>Missions</h2>
      <ul className={styles.missions}>
        {now.missions.map((mission, at) => (
          <li key={mission.id}>
            <Button
              look="bare"
              aria-expanded={mission.id === selected}
              onClick={() => onSelect(mission.id === selected ? null : mission.id)}
            >
              {mission.name.trim() === '' ? 'no name yet' : mission.name}{' '}
              <small className="faint">{mission.points} points</small>
            </Button>
            {mission.id === selected && (
              <MissionFields
                at={at}
                mission={mission}
                table={table}
                onRemove={() =>
                  onChange({ missions: table.missions.filter(({ id }) => id !== mission.id) })
                }
              />
            )}
          </li>
        ))}
      </ul>
      <Button disabled={table.missions.length >= MOST_MISSIONS} onClick={addMission}>
        + Mission
      </Button>
      <SegmentFields
        of="walls"
        title="Walls"
        note="Inner walls that stop the robot and send back the distance sensor’s echo. The border is always there."
        one="Wall"
        segments={table.walls}
        more={(index) => <Share of="walls" one="Wall" index={index} />}
        onChange={(walls) => onChange({ walls })}
      />
      <SegmentFields
        of="lines"
        title="Guide lines"
        note={`Dark lines on the floor, drawn ${errorLength(0.02)} wide.`}
        one="Line"
        segments={table.lines}
        onChange={(lines) => onChange({ lines: lines.map((line) => ({ widthM: 0.02, ...line })) })}
      />
      <FloorFields table={table} onChange={onChange} />
    </section>
  );
}
