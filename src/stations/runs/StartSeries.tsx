import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { ulid } from 'ulid';
import { z } from 'zod';
import type { SeriesRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../ui/fieldsInError';
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

const valuesSchema = z.object({
  trying: z.string().trim().min(1, 'Say in a few words what is being tried: it names the series.'),
  routeVersionId: z.string(),
  plannedRuns: z.number().int('whole runs are wanted').min(1).max(1000),
  battery: z.string(),
  table: z.string(),
});

type Values = z.output<typeof valuesSchema>;

function StartForm({
  choices,
  version,
  batteries,
  tables,
}: Pick<Props, 'choices' | 'version' | 'batteries' | 'tables'>) {
  // The id is made once: pressing again after a lost connection starts the same series.
  const [id] = useState(() => ulid());
  const wrong = useFieldsInError();
  const [problem, setProblem] = useState<string | null>(null);
  const {
    control,
    handleSubmit,
    formState: { errors },
  } = useForm<Values>({
    resolver: zodResolver(valuesSchema),
    defaultValues: {
      trying: '',
      routeVersionId: version,
      plannedRuns: 10,
      battery: batteries[0] ?? '',
      table: tables[0] ?? '',
    },
  });
  const start = async ({ battery, table, ...values }: Values) => {
    if (wrong > 0) return;
    const record: SeriesRecord = {
      id,
      version: 0,
      ...values,
      battery: textOrNull(battery),
      tableLabel: textOrNull(table),
      archivedAt: null,
      planId: null,
    };
    try {
      await putRecord<SeriesRecord>('series', record);
      location.assign(`/runs/${id}`);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const refused = errors.trying?.message ?? errors.plannedRuns?.message ?? problem;
  return (
    <form
      id="start-series"
      className={styles.form}
      onSubmit={(event) => {
        setProblem(null);
        void handleSubmit(start)(event);
      }}
    >
      <Controller
        control={control}
        name="trying"
        render={({ field: { value, onChange } }) => (
          <TextField
            label="What is being tried?"
            maxLength={200}
            hint="For example: start jig instead of the hand"
            {...{ value, onChange }}
          />
        )}
      />
      <Controller
        control={control}
        name="routeVersionId"
        render={({ field: { value, onChange } }) => (
          <Select
            label="Route"
            options={choices.map((choice) => ({ value: choice.id, label: choice.label }))}
            {...{ value, onChange }}
          />
        )}
      />
      <Controller
        control={control}
        name="plannedRuns"
        render={({ field: { value, onChange } }) => (
          <NumberField
            label="Planned runs"
            unit={RUNS}
            min={1}
            max={1000}
            hint="3 give a first idea, 10 the spread to about a quarter, 30 are the standard’s"
            {...{ value, onChange }}
          />
        )}
      />
      <Controller
        control={control}
        name="battery"
        render={({ field: { value, onChange } }) => (
          <TextField
            label="Battery"
            maxLength={40}
            suggestions={batteries}
            {...{ value, onChange }}
          />
        )}
      />
      <Controller
        control={control}
        name="table"
        render={({ field: { value, onChange } }) => (
          <TextField label="Table" maxLength={40} suggestions={tables} {...{ value, onChange }} />
        )}
      />
      <MendFirst />
      {refused !== null && <Notice tone="fault">{refused}</Notice>}
    </form>
  );
}

const StartDialog = ({
  onClose,
  ...form
}: Parameters<typeof StartForm>[0] & { onClose(): void }) => (
  <Dialog
    title="Start a series of runs"
    onClose={onClose}
    actions={
      <Button look="strong" type="submit" form="start-series">
        Start the series
      </Button>
    }
  >
    <FieldsInErrorProvider>
      <StartForm {...form} />
    </FieldsInErrorProvider>
  </Dialog>
);

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
