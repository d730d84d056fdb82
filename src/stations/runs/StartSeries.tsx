import { PLANNED_RUNS } from '../../core/runs/description';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { ulid } from 'ulid';
import { z } from 'zod';
import type { SeriesRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../ui/fields/fieldsInError';
import { Dialog } from '../../ui/Dialog';
import { ValueField } from '../../ui/fields/ValueField';
import { Notice } from '../../ui/Notice';
import { Select } from '../../ui/fields/Select';
import { TextField } from '../../ui/fields/TextField';
import { putRecord, sentenceOf } from '../api';
import {
  chosenTable,
  keepMissionRoute,
  missionChoice,
  type MissionTable,
} from './log/missionRoute';
import styles from './SeriesList.module.css';

interface Props {
  choices: { id: string; label: string }[];
  version: string;
  /** Missions that can be counted without a route, and the robots that may drive. */
  missionTables: MissionTable[];
  robots: { id: string; name: string }[];
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
  robotId: z.string(),
  /** Those that are not counted. */
  without: z.array(z.string()),
});

type Values = z.output<typeof valuesSchema>;

function StartForm({
  choices,
  version,
  missionTables,
  robots,
  batteries,
  tables,
}: Omit<Props, 'open' | 'sentence'>) {
  // The id is made once: pressing again after a lost connection starts the same series.
  const [ids] = useState(() => ({ series: ulid(), route: ulid(), version: ulid() }));
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
      robotId: robots[0]?.id ?? '',
      without: [],
    },
  });
  const counted = chosenTable(useWatch({ control, name: 'routeVersionId' }), missionTables);
  const start = async ({ battery, table, robotId, without, ...values }: Values) => {
    if (wrong > 0) return;
    try {
      const chosen = counted?.missions.map((one) => one.id).filter((one) => !without.includes(one));
      const record: SeriesRecord = {
        id: ids.series,
        version: 0,
        ...values,
        ...(counted !== null && {
          routeVersionId: await keepMissionRoute(ids, counted, robotId, chosen ?? []),
        }),
        battery: textOrNull(battery),
        tableLabel: textOrNull(table),
        archivedAt: null,
        planId: null,
      };
      await putRecord<SeriesRecord>('series', record);
      location.assign(`/runs/${ids.series}`);
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
            options={[
              ...choices.map((choice) => ({ value: choice.id, label: choice.label })),
              ...missionTables.map((one) => ({
                value: missionChoice(one),
                label: `No route: count the missions of ${one.name}`,
              })),
            ]}
            {...{ value, onChange }}
          />
        )}
      />
      {counted !== null && (
        <>
          {robots.length > 1 && (
            <Controller
              control={control}
              name="robotId"
              render={({ field: { value, onChange } }) => (
                <Select
                  label="Robot"
                  options={robots.map(({ id, name }) => ({ value: id, label: name }))}
                  {...{ value, onChange }}
                />
              )}
            />
          )}
          <Controller
            control={control}
            name="without"
            render={({ field: { value, onChange } }) => (
              <fieldset className={styles.missions}>
                <legend>Missions that are counted</legend>
                {counted.missions.map(({ id, name }) => (
                  <label key={id}>
                    <input
                      type="checkbox"
                      checked={!value.includes(id)}
                      onChange={({ target }) =>
                        onChange(
                          target.checked ? value.filter((one) => one !== id) : [...value, id],
                        )
                      }
                    />{' '}
                    {name}
                  </label>
                ))}
              </fieldset>
            )}
          />
        </>
      )}
      <Controller
        control={control}
        name="plannedRuns"
        render={({ field: { value, onChange } }) => (
          <ValueField field={PLANNED_RUNS} {...{ value, onChange }} />
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
