import { useState } from 'react';
import type { Route } from '../../core/course/route';
import type { Robot } from '../../core/robot/robot';
import { routeNeeds } from '../../core/course/wiring';
import type { RobotChangeRecord } from '../../formats/benchRecords';
import type { RobotRecord, StockDeviceRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import { FieldsInErrorProvider } from '../../ui/fields/fieldsInError';
import { Notice, Toast } from '../../ui/Notice';
import { RecordForm } from '../../ui/fields/recordForm';
import { useToast } from '../../ui/useToast';
import { ArchivedList } from '../ArchivedList';
import { RecordMenu } from '../RecordMenu';
import { robotForm, robotParser } from '../parsers';
import { ChangedElsewhere, SaveButtons } from '../Saving';
import { useSaved } from '../useSaved';
import { ChangeList } from './ChangeList';
import { Converter } from './Converter';
import { NeedList } from './NeedList';
import { NewRobot } from './NewRobot';
import { RobotDrawing } from './RobotDrawing';
import { StockList } from './StockList';
import { useStock } from './useStock';
import { RobotFields } from './RobotFields';
import styles from './RobotStation.module.css';

interface Props {
  record: RobotRecord;
  robots: RobotRecord[];
  changes: RobotChangeRecord[];
  /** Saved routes of this robot. */
  routes: Route[];
  /** The team's units that may be on no robot. */
  stock: StockDeviceRecord[];
}

/** A robot's record: sizes, sensors and what is assumed to scatter; and what a motor angle means on it. */
export const RobotStation = (props: Props) => (
  <FieldsInErrorProvider>
    <RobotEditor {...props} />
  </FieldsInErrorProvider>
);

function RobotEditor({ record, robots, changes, routes, stock: loaded }: Props) {
  const [toast, tell] = useToast();
  const saved = useSaved('robots', record, () => tell('Saved.'), robotParser);
  const [newRobot, setNewRobot] = useState(false);
  const { draft, setDraft } = saved;
  const stock = useStock(record.teamId, loaded);
  const setRobot = (robot: Robot) => setDraft({ ...draft, robot });
  return (
    <>
      <header className={styles.bar}>
        <h1>{draft.name}</h1>
        <nav aria-label="Robots" className={styles.others}>
          {robots
            .filter(({ id, archivedAt }) => id !== record.id && archivedAt === null)
            .map(({ id, name }) => (
              <a key={id} href={`/robot?robot=${id}`}>
                {name}
              </a>
            ))}
          <Button look="bare" onClick={() => setNewRobot(true)}>
            + New robot
          </Button>
        </nav>
      </header>
      <div className={styles.columns}>
        <section aria-label="Record">
          <RecordForm
            key={saved.generation}
            className={styles.record}
            record={draft}
            schema={robotForm}
            onChange={setDraft}
          >
            <RobotFields
              robot={draft.robot}
              onChange={setRobot}
              onStock={(unit) => stock.put(unit)}
            />
          </RecordForm>
          <Converter robot={draft.robot} />
        </section>
        <aside className={styles.side}>
          <SaveButtons what="robot" saved={saved} />
          <RobotDrawing robot={draft.robot} />
          <StockList
            stock={stock.stock}
            robots={[
              draft.robot,
              ...robots.filter(({ id }) => id !== record.id).map(({ robot }) => robot),
            ]}
            onTake={(unit) =>
              setRobot({ ...draft.robot, units: [...draft.robot.units, { ...unit, port: '' }] })
            }
            onThrowAway={(entry) => void stock.throwAway(entry)}
          />
          {stock.problem !== null && <Notice tone="fault">{stock.problem}</Notice>}
          <NeedList needs={routeNeeds(routes, draft.robot)} />
          <p>
            <a href={`/bench/directions?robot=${record.id}`}>Check the directions</a> ·{' '}
            <a href={`/robot/sheet?robot=${record.id}`}>Wiring sheet to print</a>
          </p>
          <RecordMenu kind="robots" what="robot" record={saved.saved} name={null} />
          <ArchivedList
            what="robot"
            items={robots
              .filter(({ id, archivedAt }) => id !== record.id && archivedAt !== null)
              .map(({ id, name }) => ({ name, href: `/robot?robot=${id}` }))}
          />
          <ChangeList robotId={record.id} changes={changes} />
        </aside>
      </div>
      <ChangedElsewhere what="robot" saved={saved} />
      {newRobot && <NewRobot like={draft} onClose={() => setNewRobot(false)} />}
      <Toast text={toast} />
    </>
  );
}
