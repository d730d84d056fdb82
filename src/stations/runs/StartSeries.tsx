import { useState } from 'react';
import { ulid } from 'ulid';
import type { SeriesRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { NumberField } from '../../ui/NumberField';
import { Notice } from '../../ui/Notice';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { RUNS } from '../../ui/units';
import { putRecord, sentenceOf } from '../api';
import styles from './SeriesList.module.css';

interface Props {
  choices: { id: string; label: string }[];
  version: string;
  batteries: string[];
  tables: string[];
  open: boolean;
  /** What all series say, for the head of the station. */
  sentence: string;
}

const textOrNull = (text: string) => (text.trim() === '' ? null : text.trim());

function StartDialog({
  choices,
  version,
  batteries,
  tables,
  onClose,
}: Omit<Props, 'open' | 'sentence'> & { onClose(): void }) {
  // The id is made once: pressing again after a lost connection starts the same series.
  const [id] = useState(() => ulid());
  const [routeVersionId, setVersion] = useState(version);
  const [trying, setTrying] = useState('');
  const [plannedRuns, setPlanned] = useState(10);
  const [battery, setBattery] = useState(batteries[0] ?? '');
  const [table, setTable] = useState(tables[0] ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const start = async () => {
    if (trying.trim() === '') {
      setProblem('Say in a few words what is being tried: it names the series.');
      return;
    }
    const record: SeriesRecord = {
      id,
      version: 0,
      routeVersionId,
      trying: trying.trim(),
      plannedRuns,
      battery: textOrNull(battery),
      tableLabel: textOrNull(table),
    };
    try {
      await putRecord<SeriesRecord>('series', record);
      location.assign(`/runs/${id}`);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <Dialog
      title="Start a series of runs"
      onClose={onClose}
      actions={
        <Button look="strong" type="submit" form="start-series">
          Start the series
        </Button>
      }
    >
      <form
        id="start-series"
        className={styles.form}
        onSubmit={(event) => {
          event.preventDefault();
          void start();
        }}
      >
        <TextField
          label="What is being tried?"
          value={trying}
          maxLength={200}
          hint="For example: start jig instead of the hand"
          onChange={setTrying}
        />
        <Select
          label="Route"
          value={routeVersionId}
          options={choices.map((choice) => ({ value: choice.id, label: choice.label }))}
          onChange={setVersion}
        />
        <NumberField
          label="Planned runs"
          unit={RUNS}
          min={1}
          max={1000}
          value={plannedRuns}
          hint="3 give a first idea, 10 the spread to about a quarter, 30 are the standard’s"
          onChange={setPlanned}
        />
        <TextField
          label="Battery"
          value={battery}
          maxLength={40}
          suggestions={batteries}
          onChange={setBattery}
        />
        <TextField
          label="Table"
          value={table}
          maxLength={40}
          suggestions={tables}
          onChange={setTable}
        />
        {problem !== null && <Notice tone="fault">{problem}</Notice>}
      </form>
    </Dialog>
  );
}

/** The head of the station: a new series begins here. */
export function StartSeries({ open, sentence, ...choices }: Props) {
  const [starting, setStarting] = useState(open);
  return (
    <header className={styles.head}>
      <h1>Runs</h1>
      <Button look="strong" onClick={() => setStarting(true)}>
        Start a series…
      </Button>
      <p className={styles.sentence}>{sentence}</p>
      {starting && <StartDialog {...choices} onClose={() => setStarting(false)} />}
    </header>
  );
}
