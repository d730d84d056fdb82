import { useEffect, useRef, useState } from 'react';
import type { TurnsCalibration } from '../../../core/calibrationValues/turns';
import type { Robot } from '../../../core/robot/robot';
import type { Doubt } from '../../../core/sources/source';
import { errorLength, percent } from '../../../core/text/quantities';
import type { HeadingsTold } from '../../../core/forecast/headingsOnRoute';
import { FORECAST_SEED, HEADING_RUNS } from '../../../core/forecast/luck';
import type { RobotRoute } from '../../../formats/robotRoute';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Select } from '../../../ui/fields/Select';
import { Table } from '../../../ui/Table';
import type { HeadingsWorker } from '../../../workers/headings.worker';
import { sentenceOf } from '../../api';
import { inWorker, type WorkerJob } from '../../inWorker';
import styles from '../Bench.module.css';

const newWorker = () =>
  new Worker(new URL('../../../workers/headings.worker.ts', import.meta.url), { type: 'module' });

interface Props {
  /** As it was measured, and how well. */
  fitted: Robot;
  doubts: readonly Doubt[];
  turns: TurnsCalibration | null;
  /** Those of its routes that turn. */
  routes: readonly RobotRoute[];
}

interface Found extends HeadingsTold {
  routeId: string;
}

/** Zeroing against counting on over a route of this robot, in the simulator. */
export function HeadingsOnRoute({ fitted, doubts, turns, routes }: Props) {
  const [routeId, setRouteId] = useState(routes[0]?.routeId ?? '');
  const [found, setFound] = useState<Found | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [running, setRunning] = useState(false);
  const job = useRef<WorkerJob<HeadingsTold> | null>(null);
  useEffect(() => () => job.current?.cancel(), []);
  const chosen = routes.find((route) => route.routeId === routeId);
  if (chosen === undefined) {
    return (
      <p className="faint">No route of this robot turns yet: save one, and try both on it here.</p>
    );
  }
  const stop = () => {
    job.current?.cancel();
    setRunning(false);
  };
  const start = async () => {
    stop();
    setRunning(true);
    setProblem(null);
    const { version, table } = chosen;
    const { route } = version;
    const simulation = { robot: fitted, table, route, turns, doubts, seed: FORECAST_SEED };
    const mine = inWorker<HeadingsWorker, HeadingsTold>(newWorker, ({ onRoute }) =>
      onRoute(simulation),
    );
    job.current = mine;
    try {
      setFound({ routeId: chosen.routeId, ...(await mine.result) });
    } catch (error) {
      setProblem(sentenceOf(error));
    }
    setRunning(false);
  };
  const shown = found?.routeId === routeId ? found : null;
  return (
    <div className={styles.work}>
      <div className={styles.fields}>
        <Select
          label="On a route"
          value={routeId}
          options={routes.map(({ routeId: id, name }) => ({ value: id, label: name }))}
          onChange={(id) => {
            stop();
            setRouteId(id);
          }}
        />
        {running ? (
          <Button onClick={stop}>Stop simulating</Button>
        ) : (
          <Button onClick={() => void start()}>Simulate both ways</Button>
        )}
      </div>
      {running && <p role="status">Simulating {HEADING_RUNS} runs each way …</p>}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      {shown !== null && (
        <>
          <p data-testid="headings-on-route">{shown.sentence}</p>
          <Table
            label={`${chosen.name}, version ${chosen.version.number}, simulated both ways`}
            rows={shown.ways.map((way, i) => ({ ...way, faces: shown.faces[i] ?? '' }))}
            keyOf={({ headings }) => headings}
            columns={[
              { title: 'Headings', head: true, cell: ({ headings }) => headings },
              {
                title: 'All missions',
                number: true,
                cell: ({ forecast: { all } }) => (all === null ? 'none marked' : percent(all.rate)),
              },
              {
                title: '95 of 100 end within',
                number: true,
                cell: ({ forecast: { end } }) => errorLength(end.r95AboutTargetM ?? 0),
              },
              {
                title: 'Faces wrong at the end',
                number: true,
                cell: ({ faces }) => faces,
              },
            ]}
          />
        </>
      )}
    </div>
  );
}
