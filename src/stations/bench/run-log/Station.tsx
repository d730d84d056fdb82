import { useEffect, useState } from 'react';
import { ulid } from 'ulid';
import type { KnownDrift } from '../../../core/gyro/runLog';
import { number, headingText } from '../../../core/text/quantities';
import type { RunLogRecord, TrialListEntry } from '../../../formats/benchRecords';
import { fromItsStart, type Log } from '../../../formats/toLog';
import { Notice } from '../../../ui/Notice';
import { sentenceOf } from '../../api';
import type { BenchProps } from '../procedure';
import { classes } from '../../../ui/classes';
import styles from '../Bench.module.css';
import { loadLog } from '../logs/loadLog';
import { LogSource } from '../logs/LogSource';
import type { Source } from '../logs/SourceChoice';
import { lapProgram } from '../standIn/lapProgram';
import { TrialLists } from '../trials/TrialLists';
import { ProgramButton } from '../standIn/ProgramButton';
import { useProgram, type Measured } from '../standIn/useProgram';
import { newAnchor } from './AnchorFields';
import { RunCorrection, type OpenRun } from './RunCorrection';

interface Props extends BenchProps {
  /** Runs that were recorded before, and the one that is opened again. */
  runs: {
    lists: TrialListEntry[];
    open: RunLogRecord | null;
  };
  known: KnownDrift | null;
}

const LAP_SIDE_M = 0.6;

/** A kept run is fetched when it is opened again. */
function useOpenRun(record: RunLogRecord | null) {
  const [run, setRun] = useState<OpenRun | null>(null);
  const [share, setShare] = useState<number | null>(record === null ? null : 0);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (record === null) return;
    loadLog(record.conditions.logId, setShare)
      .then(
        (log) => setRun({ log, record, source: null }),
        (error: unknown) => setProblem(sentenceOf(error)),
      )
      .finally(() => setShare(null));
  }, [record]);
  return { run, setRun, share, problem };
}

/** A recorded run: mark where the true heading is known, and see the heading before and after. */
export default function Station({ robot, runs, known }: Props) {
  const { run, setRun, share, problem } = useOpenRun(runs.open);
  const [ended, setEnded] = useState<Measured | null>(null);
  const program = useProgram();
  const take = (taken: Log, name: string, source: Source) => {
    const log = fromItsStart(taken);
    const measured = source === 'stand-in' ? ended : null;
    const record: RunLogRecord = {
      id: ulid(),
      version: 0,
      robotId: robot.id,
      procedure: 'run-log',
      conditions: {
        surface: '',
        battery: '',
        who: '',
        readToM: null,
        logId: ulid(),
        name: name.slice(0, 40),
      },
      trials: [
        newAnchor(0, 0, 'start jig'),
        ...(measured === null
          ? []
          : [newAnchor(Number((log.tS.at(-1) ?? 0).toFixed(2)), measured.turnedRad, 'protractor')]),
      ],
      archivedAt: null,
    };
    setEnded(null);
    setRun({ log, record, source });
  };
  return (
    <>
      {run === null ? (
        <p className={styles.headline}>
          Load or record a run and mark the moments at which you know the true heading: Corvat says
          how the reading drifted, and what the heading was.
        </p>
      ) : (
        <RunCorrection key={run.record.id} {...{ robot, known }} {...run} />
      )}
      {share !== null && <p role="status">Fetching the run: {number(share * 100)} %</p>}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <section aria-label="Do" className={classes(styles.do, 'no-print')}>
        <ol className={styles.steps}>
          <li>Let the robot drive, and write down time, heading and motors meanwhile.</li>
          <li>Load the file, or record the robot on USB while it drives.</li>
          <li>Say when you knew the true heading: in the jig, against a wall, along a line.</li>
        </ol>
        <LogSource
          robot={robot}
          meanwhile="Let the robot drive its run."
          standInDoes={
            <ProgramButton
              program={program}
              label="Let the stand-in drive a square"
              onClick={() =>
                void program.run(lapProgram(LAP_SIDE_M, 'gyro', 'ccw', 'spin'), setEnded)
              }
            />
          }
          onLog={take}
        />
        {ended !== null && (
          <p role="status">
            It has stopped. Measured with a protractor it has turned by{' '}
            {headingText(ended.turnedRad)} in all: that becomes the second anchor.
          </p>
        )}
        {program.problem !== null && <Notice tone="fault">{program.problem}</Notice>}
      </section>
      <TrialLists
        title="Recorded before"
        what="anchor"
        href={`/bench/run-log?robot=${robot.id}`}
        lists={runs.lists}
        openId={run?.record.id ?? null}
      />
    </>
  );
}
