import { ASKED_KINDS, firstDevices } from '../../core/devices/firstDevices';
import { teamSettings } from '../../formats/teamSettings';
import {
  setDisplaySettings,
  displaySettings,
  type DecimalSign,
} from '../../core/text/displaySettings';
import { isZone } from '../../core/text/dates';
import { zodResolver } from '@hookform/resolvers/zod';
import { useReducer, useState } from 'react';
import { Controller, useForm, type Control } from 'react-hook-form';
import { ulid } from 'ulid';
import { z } from 'zod';
import { valueSchema } from '../../core/description/schema';
import { trackM, wheelDiameterM } from '../../core/description/values';
import { robotSchema } from '../../core/robot/robot';
import { TABLE } from '../../core/table/description';
import { tableSchema } from '../../core/table/table';
import { name } from '../../formats/fields';
import type { TeamSetUp } from '../../formats/records';
import { Button } from '../../ui/Button';
import { FieldsInErrorProvider, MendFirst, useFieldsInError } from '../../ui/fields/fieldsInError';
import { Notice } from '../../ui/Notice';
import { Choice } from '../../ui/fields/Choice';
import { TextField } from '../../ui/fields/TextField';
import { ValueField } from '../../ui/fields/ValueField';
import { post, sentenceOf } from '../api';
import styles from './Today.module.css';

/** What the browser says of itself, where it is a zone that can be said in. */
function browserZone(): string {
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  return isZone(zone) ? zone : 'UTC';
}

const newIds = () => ({ team: ulid(), robot: ulid(), course: ulid(), route: ulid() });

const FIRST = {
  team: '',
  robot: '',
  course: '',
  route: 'First route',
  wheelDiameterM: 0.056,
  trackM: 0.12,
  sensors: { 'heading sensor': 1, 'distance sensor': 0, 'light sensor': 0, 'touch sensor': 0 },
  widthM: 2.2,
  heightM: 1.1,
};

const MOST_OF_A_KIND = 3;
/** What a ruler says at first. */
const SIZES = { wheelDiameterM, trackM, ...TABLE };

const valuesSchema = z.object({
  team: name,
  robot: name,
  course: name,
  route: name,
  wheelDiameterM: valueSchema(SIZES.wheelDiameterM),
  trackM: valueSchema(SIZES.trackM),
  widthM: valueSchema(SIZES.widthM),
  heightM: valueSchema(SIZES.heightM),
  sensors: z.record(z.enum(ASKED_KINDS), z.number().int().min(0).max(MOST_OF_A_KIND)),
});

type Values = z.output<typeof valuesSchema>;

function recordsOf(values: Values, ids: ReturnType<typeof newIds>): TeamSetUp {
  const { wheelDiameterM, trackM, widthM, heightM } = values;
  const of = { version: 0, teamId: ids.team, archivedAt: null };
  return {
    team: {
      id: ids.team,
      version: 0,
      name: values.team.trim(),
      settings: teamSettings.parse({
        timeZone: browserZone(),
        length: displaySettings().length,
        decimalSign: browserSign(),
      }),
    },
    robot: {
      ...of,
      id: ids.robot,
      name: values.robot.trim(),
      robot: robotSchema.parse({
        wheelDiameterM,
        trackM,
        units: firstDevices(values.sensors, ulid),
      }),
    },
    course: {
      ...of,
      id: ids.course,
      name: values.course.trim(),
      table: tableSchema.parse({ widthM, heightM }),
    },
    route: {
      id: ids.route,
      version: 0,
      courseId: ids.course,
      robotId: ids.robot,
      name: values.route.trim(),
      archivedAt: null,
    },
  };
}

type NameOf<T> = { [K in keyof Values]: Values[K] extends T ? K : never }[keyof Values];

function NameInput({
  control,
  field,
  label,
}: {
  control: Control<Values>;
  field: NameOf<string>;
  label: string;
}) {
  return (
    <Controller
      control={control}
      name={field}
      render={({ field: { value, onChange }, fieldState: { error } }) => (
        <TextField
          label={label}
          value={value}
          maxLength={80}
          aria-invalid={error !== undefined}
          {...(error !== undefined && { hint: `A name is wanted: ${error.message ?? ''}` })}
          onChange={onChange}
        />
      )}
    />
  );
}

function SizeInput({
  control,
  of,
  label,
}: {
  control: Control<Values>;
  of: keyof typeof SIZES;
  label?: string;
}) {
  return (
    <Controller
      control={control}
      name={of}
      render={({ field: { value, onChange } }) => (
        <ValueField field={SIZES[of]} {...{ value, onChange, ...(label && { label }) }} />
      )}
    />
  );
}

/** How many sensors of each kind are on the robot: one tap each. */
function SensorInputs({ control }: { control: Control<Values> }) {
  return (
    <Controller
      control={control}
      name="sensors"
      render={({ field: { value, onChange } }) => (
        <div className={styles.sensors}>
          {ASKED_KINDS.map((kind) => (
            <Choice
              key={kind}
              label={`${kind.charAt(0).toUpperCase()}${kind.slice(1)}s`}
              value={String(value[kind])}
              options={Array.from({ length: MOST_OF_A_KIND + 1 }, (_, n) => ({
                value: String(n),
                label: n === 0 ? 'none' : String(n),
              }))}
              onChange={(n) => onChange({ ...value, [kind]: Number(n) })}
            />
          ))}
        </div>
      )}
    />
  );
}

/** A browser that writes numbers with a comma belongs to people who do. */
const browserSign = (): DecimalSign => ((1.5).toLocaleString().includes(',') ? ',' : '.');

/** The unit in which the sizes are typed, from the first field on. */
function ChoiceOfUnit({ onChange }: { onChange(): void }) {
  return (
    <Choice
      label="Lengths in"
      value={displaySettings().length}
      options={[
        { value: 'cm', label: 'cm and mm' },
        { value: 'mm', label: 'mm' },
        { value: 'in', label: 'inches' },
      ]}
      onChange={(length) => {
        setDisplaySettings({ ...displaySettings(), length });
        onChange();
      }}
    />
  );
}

interface Props {
  /** Beside the teams that are there. */
  another: boolean;
}

function SetUpForm({ another }: Props) {
  const [ids] = useState(newIds);
  const [, sayAnew] = useReducer((n: number) => n + 1, 0);
  const [problem, setProblem] = useState<string | null>(null);
  const Title = another ? 'h2' : 'h1';
  const wrong = useFieldsInError();
  const { control, handleSubmit } = useForm<Values>({
    resolver: zodResolver(valuesSchema),
    defaultValues: FIRST,
  });
  const save = async (values: Values) => {
    if (wrong > 0) return;
    try {
      await post('/api/teams', { ...recordsOf(values, ids), another });
      location.assign('/course/table');
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const refuse = () =>
    setProblem('Give the team, the robot, the course and the route a name each.');
  return (
    <form
      className={styles.setUp}
      onSubmit={(event) => {
        setProblem(null);
        void handleSubmit(save, refuse)(event);
      }}
    >
      <Title>Who are you, with what, on which table?</Title>
      <p>
        Corvat says where your robot ends up, how far apart, how sure that is, and what to do next.
        It begins with a few sizes; a ruler will do, and everything can be changed later.
      </p>
      <fieldset>
        <legend>Team and robot</legend>
        <NameInput {...{ control }} field="team" label="Team" />
        <NameInput {...{ control }} field="robot" label="Robot" />
        <ChoiceOfUnit onChange={sayAnew} />
        <SizeInput {...{ control }} of="wheelDiameterM" />
        <SizeInput {...{ control }} of="trackM" label="Track width (between the wheels)" />
        <SensorInputs control={control} />
      </fieldset>
      <fieldset>
        <legend>Course</legend>
        <NameInput {...{ control }} field="course" label="Course or table" />
        <NameInput {...{ control }} field="route" label="First route" />
        <SizeInput {...{ control }} of="widthM" label="Table, along the home edge" />
        <SizeInput {...{ control }} of="heightM" label="Table, away from it" />
      </fieldset>
      <MendFirst />
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <Button look="strong" type="submit">
        Begin, and put the missions on the table
      </Button>
    </form>
  );
}

/** The first start of a team: who, with what, on which table. Everything can be changed later. */
export const SetUp = ({ another = false }: Partial<Props>) => (
  <FieldsInErrorProvider>
    <SetUpForm another={another} />
  </FieldsInErrorProvider>
);
