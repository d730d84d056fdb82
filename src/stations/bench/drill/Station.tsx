import { useEffect, useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { answerOf } from '../../../core/drill/answers';
import { drillStudy } from '../../../core/drill/drillStudy';
import { percent } from '../../../core/text/quantities';
import type { DrillTrials, TrialListEntry } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Table } from '../../../ui/Table';
import { TextField } from '../../../ui/fields/TextField';
import { useKeys } from '../../../ui/page/useKeys';
import styles from '../Bench.module.css';
import type { DrawnTask, DrillWorker } from '../../../workers/drill.worker';
import { sentenceOf } from '../../api';
import { inWorker } from '../../inWorker';
import { KeepingLine } from '../KeepingLine';
import { notAside } from '../trials/openedList';
import type { BenchProps } from '../procedure';
import { TrialLists } from '../trials/TrialLists';
import { useTrials } from '../trials/useTrials';
import { DrillCharts } from './DrillCharts';

interface Props extends BenchProps {
  trials: DrillTrials;
  lists: TrialListEntry[];
}

const SEEDS = 4_294_967_296;

const newWorker = () =>
  new Worker(new URL('../../../workers/drill.worker.ts', import.meta.url), { type: 'module' });

/** The task under a number, drawn when it is asked for. */
function useTask(seed: number | null): { task: DrawnTask | null; problem: string | null } {
  const [drawn, setDrawn] = useState<{ seed: number; task: DrawnTask } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    if (seed === null) return;
    const job = inWorker<DrillWorker, DrawnTask>(newWorker, ({ draw }) => draw(seed));
    job.result.then(
      (task) => setDrawn({ seed, task }),
      (error: unknown) => setProblem(sentenceOf(error)),
    );
    return job.cancel;
  }, [seed]);
  return { task: drawn?.seed === seed ? drawn.task : null, problem };
}

/** What was said, and by what it is seen; then the next. */
function Told({ task, answer, onNext }: { task: DrawnTask; answer: string; onNext(): void }) {
  const isRight = answer === task.cause.id;
  return (
    <div role="status" className={styles.verdict} data-testid="drill-told">
      <p className={styles.headline}>
        {isRight ? 'Right: ' : `Not “${answerOf(answer)}”, but: `}
        {answerOf(task.cause.id)}.
      </p>
      <p>{task.cause.why}</p>
      <div className={styles.actions}>
        <Button look="strong" onClick={onNext}>
          Next trace <kbd>n</kbd>
        </Button>
      </div>
    </div>
  );
}

/** Traces whose cause is hidden: students say what is wrong, see at once why, and how they get better. */
export default function Station({ robot, trials: loaded, lists }: Props) {
  const kept = useTrials(loaded);
  const { record, add, setConditions } = kept;
  const [seed, setSeed] = useState<number | null>(null);
  const [answer, setAnswer] = useState<string | null>(null);
  // A page that is rendered on the server draws nothing by chance; the first trace comes with the first visit.
  useEffect(() => {
    const first = setTimeout(() => setSeed(Math.floor(Math.random() * SEEDS)));
    return () => clearTimeout(first);
  }, []);
  const { task, problem } = useTask(seed);
  const study = useMemo(() => drillStudy(notAside(record.trials)), [record]);
  const say = (cause: string) => {
    if (seed === null || task === null || answer !== null) return;
    setAnswer(cause);
    add({
      id: ulid(),
      seed,
      cause: task.cause.id,
      answer: cause,
      answeredAt: new Date().toISOString(),
      setAsideReason: null,
    });
  };
  const next = () => {
    setAnswer(null);
    setSeed(Math.floor(Math.random() * SEEDS));
  };
  useKeys((key) => {
    if (key === 'n' && answer !== null) {
      next();
      return true;
    }
    const chosen = task?.answers[Number(key) - 1];
    if (chosen === undefined || answer !== null) return false;
    say(chosen);
    return true;
  });
  const { name } = record.conditions;
  return (
    <>
      {study === null ? (
        <p className={styles.headline}>
          What went wrong here? Look at the trace, choose, and see at once how one can tell.
        </p>
      ) : (
        <div className={styles.verdict} data-testid="verdict">
          <p className={styles.headline}>
            {name !== '' && `${name}: `}
            {study.sentences.found}
          </p>
          <p>{study.sentences.means}</p>
          <p className={styles.next}>{study.sentences.next}</p>
        </div>
      )}
      <section aria-label="The trace" className={styles.do}>
        <p
          className={styles.headline}
          data-testid="drill-task"
          data-seed={task === null ? '' : (seed ?? '')}
        >
          {task === null ? 'Drawing a trace …' : `The robot was told: ${task.shown.told}`}
        </p>
        {problem !== null && <Notice tone="fault">{problem}</Notice>}
        {task !== null && answer === null && (
          <div role="group" aria-label="What went wrong?" className={styles.actions}>
            {task.answers.map((id, i) => (
              <Button key={id} onClick={() => say(id)}>
                {answerOf(id)} <kbd>{i + 1}</kbd>
              </Button>
            ))}
          </div>
        )}
        {task !== null && answer !== null && <Told {...{ task, answer }} onNext={next} />}
        {task !== null && <DrillCharts charts={task.shown.charts} />}
      </section>
      <div className={styles.fields}>
        <TextField
          label="Who is judging?"
          maxLength={40}
          value={name}
          hint="a nickname; each has a list"
          onChange={(typed) => setConditions({ name: typed })}
        />
      </div>
      {study !== null && (
        <>
          <div className={styles.actions}>
            <a href={`/bench/drill?robot=${robot.id}&new`}>Another student</a>
            <KeepingLine keeping={kept.keeping} problem={kept.problem} onKeep={kept.keep} />
          </div>
          <Table
            label="How each is seen"
            rows={study.causes}
            keyOf={({ cause }) => cause}
            columns={[
              { title: 'What it was', head: true, cell: ({ cause }) => answerOf(cause) },
              { title: 'Seen', number: true, cell: ({ right, n }) => `${right} of ${n}` },
              {
                title: 'Most often taken for',
                cell: ({ takenFor }) => (takenFor === null ? '' : answerOf(takenFor)),
              },
            ]}
          />
          <Table
            label="Day by day"
            rows={study.days.toReversed()}
            keyOf={({ day }) => day}
            columns={[
              { title: 'Day', head: true, cell: ({ day }) => day },
              {
                title: 'Right',
                number: true,
                cell: ({ rate }) => `${rate.successes} of ${rate.n}`,
              },
              {
                title: 'That is (95 %)',
                number: true,
                cell: ({ rate }) =>
                  `${percent(rate.rate)} (${percent(rate.low95)} to ${percent(rate.high95)})`,
              },
            ]}
          />
        </>
      )}
      <TrialLists
        title="Students"
        what="trace"
        href={`/bench/drill?robot=${robot.id}`}
        lists={lists}
        openId={record.id}
      />
    </>
  );
}
