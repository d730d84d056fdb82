import { useRef, useState } from 'react';
import { TABLE } from '../../../core/table/description';
import type { Mission, Table } from '../../../core/table/table';
import { worthOf } from '../../../core/table/targets';
import { counted } from '../../../core/text/quantities';
import type { CourseRecord } from '../../../formats/records';
import { outsideTable } from '../../../core/table/outsideTable';
import { FieldsInErrorProvider } from '../../../ui/fields/fieldsInError';
import { Notice, Toast } from '../../../ui/Notice';
import { MissionMark, Plan } from '../../../ui/plan/Plan';
import { PoseHandle } from '../../../ui/plan/PoseHandle';
import { RecordForm } from '../../../ui/fields/recordForm';
import { useToast } from '../../../ui/useToast';
import { RecordMenu } from '../../RecordMenu';
import { courseForm, courseParser } from '../../parsers';
import { ChangedElsewhere, SaveButtons } from '../../Saving';
import { useSaved } from '../../useSaved';
import { F } from './courseForm';
import { TableThings } from './TableThings';
import styles from './TableStation.module.css';

/** Of the table’s width, as a share: 44 px across where the plan is 620 px wide. */
const GRIP_OF_WIDTH = 36;

/** The table and what stands on it: size, missions with their windows, walls, guide lines, coloured fields. */
export const TableStation = (props: { record: CourseRecord }) => (
  <FieldsInErrorProvider>
    <TableEditor {...props} />
  </FieldsInErrorProvider>
);

function TableEditor({ record }: { record: CourseRecord }) {
  const [toast, tell] = useToast();
  const saved = useSaved('courses', record, () => tell('Saved.'), courseParser);
  const [selected, setSelected] = useState<string | null>(record.table.missions[0]?.id ?? null);
  const svg = useRef<SVGSVGElement>(null);
  const { draft, setDraft } = saved;
  const { table } = draft;
  const setTable = (part: Partial<Table>) => setDraft({ ...draft, table: { ...table, ...part } });
  const setMission = (mission: Mission) =>
    setTable({ missions: table.missions.map((one) => (one.id === mission.id ? mission : one)) });
  const points = table.missions.reduce((sum, mission) => sum + worthOf(mission), 0);
  const outside = outsideTable(table);
  return (
    <>
      <header className={styles.bar}>
        <h1>{draft.name}</h1>
        <span className="faint">
          {counted(table.missions.length, 'mission')}, {points} points
        </span>
        <a href="/course">Back to the route</a>
      </header>
      <RecordForm
        key={saved.generation}
        className={styles.columns}
        record={draft}
        schema={courseForm}
        onChange={setDraft}
      >
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
          <SaveButtons what="table" saved={saved} />
          {outside.length > 0 && (
            <Notice tone="careful">
              {outside.length === 1 ? 'This lies' : 'These lie'} outside the table as it is now:{' '}
              {outside.join(', ')}. Move them, or make the table larger again.
            </Notice>
          )}
          <RecordMenu kind="courses" what="table" record={saved.saved} name={null} />
          <div className={styles.fields}>
            <F.Text name="name" label="Name" maxLength={80} />
            <F.Values of="table" fields={TABLE} />
          </div>
        </div>
        <TableThings table={table} selected={selected} onSelect={setSelected} onChange={setTable} />
      </RecordForm>
      <ChangedElsewhere what="table" saved={saved} />
      <Toast text={toast} />
    </>
  );
}
