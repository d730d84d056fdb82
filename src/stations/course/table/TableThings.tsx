import { BEND, LINE, OBSTACLE } from '../../../core/table/description';
import { counted } from '../../../core/text/quantities';
import { useEffect, useRef } from 'react';
import { ulid } from 'ulid';
import type { Mission, Table } from '../../../core/table/table';
import { withoutMission } from '../../../core/table/moved';
import { worthOf } from '../../../core/table/targets';
import { Button } from '../../../ui/Button';
import { F } from './courseForm';
import { FloorFields } from './FloorFields';
import { MissionFields } from './MissionFields';
import { OptionalField } from './OptionalField';
import { LineColour } from './LineColour';
import { SegmentFields } from './SegmentFields';
import { WhenThere } from './WhenThere';
import styles from './TableStation.module.css';

const MOST_MISSIONS = 15;
const newMission = (table: Table): Mission => ({
  id: ulid(),
  name: `mission ${table.missions.length + 1}`,
  pose: { xM: table.widthM / 2, yM: table.heightM / 2, headingRad: 0 },
  window: { alongM: 0.02, acrossM: 0.02, headingRad: 0.0873 },
  points: 10,
  parts: [],
  after: [],
});

/** What it is worth, with all of its parts. */
const pointsWords = (mission: Mission): string => {
  const { parts } = mission;
  return `${worthOf(mission)} points${parts.length === 0 ? '' : ` in ${counted(parts.length, 'part')}`}`;
};

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
  const list = useRef<HTMLUListElement>(null);
  const isByKey = useRef(false);
  const addMission = () => {
    const mission = newMission(table);
    onChange({ missions: [...table.missions, mission] });
    onSelect(mission.id);
  };
  // What was added by a key is filled in next, as soon as it has its fields.
  useEffect(() => {
    const added = isByKey.current && list.current?.querySelector(`[data-mission="${selected}"]`);
    const name = added && added.querySelector('input');
    if (!name) return;
    isByKey.current = false;
    name.focus();
    name.select();
  });
  return (
    <section className={styles.right} aria-label="What stands on the table">
      <h2>Missions</h2>
      <ul ref={list} className={styles.missions}>
        {now.missions.map((mission, at) => (
          <li key={mission.id} data-mission={mission.id}>
            <Button
              look="bare"
              aria-expanded={mission.id === selected}
              onClick={() => onSelect(mission.id === selected ? null : mission.id)}
            >
              {mission.name.trim() === '' ? 'no name yet' : mission.name}{' '}
              <small className="faint">{pointsWords(mission)}</small>
            </Button>
            {mission.id === selected && (
              <MissionFields
                at={at}
                mission={mission}
                table={table}
                onChange={(changed) => onChange({ missions: table.missions.with(at, changed) })}
                onRemove={() => onChange(withoutMission(table, mission.id))}
              />
            )}
          </li>
        ))}
      </ul>
      <Button
        disabled={table.missions.length >= MOST_MISSIONS}
        onClick={({ detail }) => {
          isByKey.current = detail === 0;
          addMission();
        }}
      >
        + Mission
      </Button>
      <SegmentFields
        of="walls"
        title="Walls"
        note="Inner walls that stop the robot and send back the distance sensor’s echo. The border is always there."
        one="Wall"
        segments={table.walls}
        more={(index) => <WhenThere of="walls" index={index} name={`Wall ${index + 1}`} />}
        onChange={(walls) => onChange({ walls })}
      />
      <SegmentFields
        of="lines"
        title="Guide lines"
        note="Lines on the floor, straight or bent to an arc; black where nothing else is chosen."
        one="Line"
        segments={table.lines}
        more={(index) => (
          <div className={styles.more}>
            <F.Value
              name={`table.lines.${index}.widthM`}
              field={LINE.widthM}
              label={`Line ${index + 1} ${LINE.widthM.label}`}
            />
            <OptionalField
              name={`table.lines.${index}.bendRad`}
              field={BEND.bendRad}
              label={`Line ${index + 1} ${BEND.bendRad.label}`}
            />
            <LineColour index={index} />
          </div>
        )}
        onChange={(lines) => onChange({ lines: lines.map((line) => ({ widthM: 0.02, ...line })) })}
      />
      <FloorFields table={table} onChange={onChange} />
      <SegmentFields
        of="obstacles"
        title="Obstacles"
        note="What stands on an area, by two opposite corners: the robot runs into it. Distance sensors that sit higher look over it."
        one="Obstacle"
        segments={table.obstacles}
        more={(index) => (
          <div className={styles.more}>
            <F.Value
              name={`table.obstacles.${index}.heightM`}
              field={OBSTACLE.heightM}
              label={`Obstacle ${index + 1} ${OBSTACLE.heightM.label}`}
            />
            <WhenThere of="obstacles" index={index} name={`Obstacle ${index + 1}`} />
          </div>
        )}
        onChange={(obstacles) =>
          onChange({ obstacles: obstacles.map((one) => ({ heightM: 0.1, ...one })) })
        }
      />
      <SegmentFields
        of="homeAreas"
        title="Home areas"
        note="In which the robot is placed, by two opposite corners. Routes that begin outside of them are told so."
        one="Home"
        segments={table.homeAreas}
        onChange={(homeAreas) => onChange({ homeAreas })}
      />
    </section>
  );
}
