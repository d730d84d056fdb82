import { useState } from 'react';
import { ulid } from 'ulid';
import type { Wish } from '../../../core/compare/plan/wish';
import { wayCounts, wayLabels, WAYS } from '../../../core/compare/plan/ways';
import { planStartOf, type PlanEntry } from '../../../formats/runs/planEntry';
import { Button } from '../../../ui/Button';
import { Dialog } from '../../../ui/Dialog';
import { Notice } from '../../../ui/Notice';
import { fieldsOf, RecordForm } from '../../../ui/fields/recordForm';
import { post, sentenceOf } from '../../api';
import { planForm } from '../../parsers';
import styles from './Compare.module.css';

interface Props {
  wish: Wish;
  changes: 1 | 2;
  perSeries: number;
  versions: readonly { id: string; label: string }[];
  /** What was run last: each way begins with it. */
  version: string;
  battery: string;
  table: string;
}

const F = fieldsOf<PlanEntry>();
const FORM = 'start-plan';

/** What a way is called while its changes are still being named. */
const labelsOf = (changes: readonly string[]) =>
  wayLabels(changes.map((text, i) => text.trim() || (i === 0 ? 'the change' : 'the second')));

function PlanForm({ props, onProblem }: { props: Props; onProblem(text: string | null): void }) {
  const { wish, changes, perSeries, versions, version } = props;
  const ways = wayCounts(changes);
  // Made once: pressing again after a lost connection begins the same plan.
  const [ids] = useState(() => ({
    planId: ulid(),
    seriesIds: Array.from({ length: ways }, () => ulid()),
  }));
  const [entry, setEntry] = useState<PlanEntry>({
    changes: Array.from({ length: changes }, () => ''),
    versionIds: Array.from({ length: ways }, () => version),
    battery: props.battery,
    table: props.table,
  });
  const start = async (typed: PlanEntry) => {
    if (typed.changes.some((text) => text.trim() === '')) {
      onProblem('Say in a few words what is changed: it names the series.');
      return;
    }
    onProblem(null);
    try {
      await post('/api/run-plans', planStartOf(typed, { ...ids, wish, perSeries }));
      location.assign(`/runs/${ids.seriesIds[0] ?? ''}`);
    } catch (error) {
      onProblem(sentenceOf(error));
    }
  };
  const labels = labelsOf(entry.changes);
  const options = versions.map(({ id, label }) => ({ value: id, label }));
  return (
    <RecordForm<PlanEntry>
      id={FORM}
      record={entry}
      schema={planForm}
      onChange={setEntry}
      onSubmit={(typed) => void start(typed)}
    >
      <F.Text
        name="changes.0"
        label={changes === 1 ? 'What is changed?' : 'The first change'}
        maxLength={60}
        hint="For example: the start jig"
      />
      {changes === 2 && <F.Text name="changes.1" label="The second change" maxLength={60} />}
      {labels.map((label, i) => (
        <F.Select
          key={WAYS[i]}
          name={`versionIds.${i}`}
          label={`Route of ${WAYS[i] ?? ''}, ${label}`}
          options={options}
        />
      ))}
      <div className={styles.part}>
        <F.Text name="battery" label="Battery" maxLength={40} />
        <F.Text name="table" label="Table" maxLength={40} />
      </div>
    </RecordForm>
  );
}

/** Begins a plan: its question, number of runs and order are kept, and cannot be changed once runs are seen. */
export function StartPlan(props: Props) {
  const [isOpen, setOpen] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <p className="no-print">
        <Button look="strong" onClick={() => setOpen(true)}>
          Start this plan…
        </Button>
      </p>
      {isOpen && (
        <Dialog
          title={`Start a plan of ${wayCounts(props.changes) * props.perSeries} runs`}
          onClose={() => setOpen(false)}
          actions={
            <Button look="strong" type="submit" form={FORM}>
              Start the plan
            </Button>
          }
        >
          <p>
            {props.perSeries} runs of each way, in a mixed order that the logging screen tells run
            by run. What is asked and how many runs it takes is kept as it is now.
          </p>
          <PlanForm props={props} onProblem={setProblem} />
          {problem !== null && <Notice tone="fault">{problem}</Notice>}
        </Dialog>
      )}
    </>
  );
}
