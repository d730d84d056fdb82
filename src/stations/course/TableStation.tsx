import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import type { Mission, Table } from '../../core/course/table';
import { counted } from '../../core/text/quantities';
import type { CourseRecord } from '../../formats/records';
import { outsideTable } from '../../core/course/outsideTable';
import { Button } from '../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../ui/fieldsInError';
import { Notice, Toast } from '../../ui/Notice';
import { NumberField } from '../../ui/NumberField';
import { MissionMark, Plan } from '../../ui/plan/Plan';
import { PoseHandle } from '../../ui/plan/PoseHandle';
import { TextField } from '../../ui/TextField';
import { MM } from '../../ui/units';
import { useToast } from '../../ui/useToast';
import { ConflictDialog } from '../ConflictDialog';
import { OtherDrafts } from '../OtherDrafts';
import { RecordMenu } from '../RecordMenu';
import { courseParser } from '../parsers';
import { useSaved } from '../useSaved';
import { MissionFields } from './MissionFields';
import { SegmentFields } from './SegmentFields';
import styles from './TableStation.module.css';

const MOST_MISSIONS = 15;
/** Of the table’s width, in millimetres a metre: 44 px across where the plan is 620 px wide. */
const GRIP_OF_WIDTH = 36;

const newMission = (table: Table): Mission => ({
  id: ulid(),
  name: `mission ${table.missions.length + 1}`,
  pose: { xM: table.widthM / 2, yM: table.heightM / 2, headingRad: 0 },
  window: { alongM: 0.02, acrossM: 0.02, headingRad: 0.0873 },
  points: 10,
});

/** The table and what stands on it: size, missions with their windows, walls, guide lines. */
export const TableStation = (props: { record: CourseRecord }) => (
  <FieldsInErrorProvider>
    <TableEditor {...props} />
  </FieldsInErrorProvider>
);

function TableEditor({ record }: { record: CourseRecord }) {
  const wrong = useFieldsInError();
  const [toast, tell] = useToast();
  const saved = useSaved('courses', record, () => tell('Saved.'), courseParser);
  const [selected, setSelected] = useState<string | null>(record.table.missions[0]?.id ?? null);
  const svg = useRef<SVGSVGElement>(null);
  const { draft, setDraft } = saved;
  const { table } = draft;
  const setTable = (part: Partial<Table>) => setDraft({ ...draft, table: { ...table, ...part } });
  const setMission = (mission: Mission) =>
    setTable({ missions: table.missions.map((one) => (one.id === mission.id ? mission : one)) });
  const addMission = () => {
    const mission = newMission(table);
    setTable({ missions: [...table.missions, mission] });
    setSelected(mission.id);
  };
  const active = table.missions.find(({ id }) => id === selected);
  const points = table.missions.reduce((sum, mission) => sum + mission.points, 0);
  const outside = outsideTable(table);
  const nameless =
    draft.name.trim() === '' || table.missions.some(({ name }) => name.trim() === '');
  return (
    <>
      <header className={styles.bar}>
        <h1>{draft.name}</h1>
        <span className="faint">
          {counted(table.missions.length, 'mission')}, {points} points
        </span>
        <a href="/course">Back to the route</a>
      </header>
      <div className={styles.columns}>
        <div className={styles.left}>
          <Plan table={table} label="Plan of the table" missions={false} svgRef={svg}>
            {table.missions.map((mission) => (
              <PoseHandle
                key={mission.id}
                name={`Mission ${mission.name}`}
                table={table}
                pose={mission.pose}
                svg={svg}
                onMove={(pose) => {
                  setMission({ ...mission, pose });
                  setSelected(mission.id);
                }}
              >
                <circle
                  className={mission.id === selected ? styles.chosen : styles.grip}
                  cx={mission.pose.xM * 1000}
                  cy={(table.heightM - mission.pose.yM) * 1000}
                  r={GRIP_OF_WIDTH * table.widthM}
                />
                <MissionMark table={table} mission={mission} />
              </PoseHandle>
            ))}
          </Plan>
          <div className={styles.actions}>
            <Button
              look="strong"
              disabled={!saved.changed || saved.saving || wrong > 0 || nameless}
              onClick={() => void saved.save()}
            >
              Save the table
            </Button>
            <Button disabled={!saved.changed && wrong === 0} onClick={() => saved.put(saved.saved)}>
              Back to what is saved
            </Button>
          </div>
          {outside.length > 0 && (
            <Notice tone="careful">
              {outside.length === 1 ? 'This lies' : 'These lie'} outside the table as it is now:{' '}
              {outside.join(', ')}. Move them, or make the table larger again.
            </Notice>
          )}
          {nameless && <Notice tone="careful">The course and each mission need a name.</Notice>}
          <MendFirst />
          {saved.problem !== null && <Notice tone="fault">{saved.problem}</Notice>}
          <RecordMenu kind="courses" what="table" record={saved.saved} name={null} />
          <div className={styles.fields} key={saved.generation}>
            <TextField
              label="Name"
              value={draft.name}
              maxLength={80}
              onChange={(name) => setDraft({ ...draft, name })}
            />
            <NumberField
              label="Along the home edge"
              unit={MM}
              min={200}
              max={20000}
              value={table.widthM}
              onChange={(widthM) => setTable({ widthM })}
            />
            <NumberField
              label="Away from it"
              unit={MM}
              min={200}
              max={20000}
              value={table.heightM}
              onChange={(heightM) => setTable({ heightM })}
            />
          </div>
        </div>
        <section
          key={`${saved.generation} things`}
          className={styles.right}
          aria-label="What stands on the table"
        >
          <h2>Missions</h2>
          <ul className={styles.missions}>
            {table.missions.map((mission) => (
              <li key={mission.id}>
                <Button
                  look="bare"
                  aria-expanded={mission.id === selected}
                  onClick={() => setSelected(mission.id === selected ? null : mission.id)}
                >
                  {mission.name} <small className="faint">{mission.points} points</small>
                </Button>
                {active !== undefined && mission.id === selected && (
                  <MissionFields
                    mission={active}
                    table={table}
                    onChange={setMission}
                    onRemove={() =>
                      setTable({ missions: table.missions.filter(({ id }) => id !== mission.id) })
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
            title="Walls"
            note="Inner walls that stop the robot and send back the distance sensor’s echo. The border is always there."
            one="Wall"
            segments={table.walls}
            onChange={(walls) => setTable({ walls })}
          />
          <SegmentFields
            title="Guide lines"
            note="Dark lines on the floor, drawn 20 mm wide."
            one="Line"
            segments={table.lines}
            onChange={(lines) =>
              setTable({ lines: lines.map((line) => ({ widthM: 0.02, ...line })) })
            }
          />
        </section>
      </div>
      <OtherDrafts
        what="table"
        others={saved.others}
        onTake={(draft) => {
          saved.put({ ...draft.value, version: saved.saved.version });
          saved.drop(draft);
        }}
        onDrop={saved.drop}
      />
      {saved.theirs !== null && (
        <ConflictDialog
          what="course"
          mine={draft}
          theirs={saved.theirs}
          onKeepMine={(mine) => void saved.save(mine)}
          onTakeTheirs={saved.accept}
          onClose={saved.dismiss}
        />
      )}
      <Toast text={toast} />
    </>
  );
}
