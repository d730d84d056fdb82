import { useState } from 'react';
import { ulid } from 'ulid';
import { tableSchema } from '../../core/course/table';
import { robotSchema } from '../../core/robot';
import type { TeamSetUp } from '../../formats/records';
import { Button } from '../../ui/Button';
import { NumberField } from '../../ui/NumberField';
import { Notice } from '../../ui/Notice';
import { TextField } from '../../ui/TextField';
import { MM } from '../../ui/units';
import { post, sentenceOf } from '../api';
import styles from './Today.module.css';

const newIds = () => ({ team: ulid(), robot: ulid(), course: ulid(), route: ulid() });

const FIRST = {
  team: '',
  robot: '',
  course: '',
  route: 'First route',
  wheelDiameterM: 0.056,
  trackM: 0.12,
  widthM: 2.2,
  heightM: 1.1,
};

type Values = typeof FIRST;

function recordsOf(values: Values, ids: ReturnType<typeof newIds>): TeamSetUp {
  const { wheelDiameterM, trackM, widthM, heightM } = values;
  const of = { version: 0, teamId: ids.team };
  return {
    team: { id: ids.team, version: 0, name: values.team.trim() },
    robot: {
      ...of,
      id: ids.robot,
      name: values.robot.trim(),
      robot: robotSchema.parse({ wheelDiameterM, trackM }),
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
    },
  };
}

/** The first start: who, with what, on which table. Everything can be changed later. */
export function SetUp() {
  const [ids] = useState(newIds);
  const [values, setValues] = useState(FIRST);
  const [problem, setProblem] = useState<string | null>(null);
  const set = (part: Partial<Values>) => setValues({ ...values, ...part });
  const missing = (['team', 'robot', 'course', 'route'] as const).some(
    (name) => values[name].trim() === '',
  );
  const save = async () => {
    if (missing) {
      setProblem('Give the team, the robot, the course and the route a name each.');
      return;
    }
    try {
      await post('/api/teams', recordsOf(values, ids));
      location.assign('/course/table');
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <form
      className={styles.setUp}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h1>Who are you, with what, on which table?</h1>
      <p>
        Corvat says where your robot ends up, how far apart, how sure that is, and what to do next.
        It begins with a few sizes; a ruler will do, and everything can be changed later.
      </p>
      <fieldset>
        <legend>Team and robot</legend>
        <TextField
          label="Team"
          value={values.team}
          maxLength={80}
          onChange={(team) => set({ team })}
        />
        <TextField
          label="Robot"
          value={values.robot}
          maxLength={80}
          onChange={(robot) => set({ robot })}
        />
        <NumberField
          label="Wheel diameter"
          unit={MM}
          min={5}
          max={1000}
          value={values.wheelDiameterM}
          onChange={(wheelDiameterM) => set({ wheelDiameterM })}
        />
        <NumberField
          label="Track width (between the wheels)"
          unit={MM}
          min={10}
          max={2000}
          value={values.trackM}
          onChange={(trackM) => set({ trackM })}
        />
      </fieldset>
      <fieldset>
        <legend>Course</legend>
        <TextField
          label="Course or table"
          value={values.course}
          maxLength={80}
          onChange={(course) => set({ course })}
        />
        <TextField
          label="First route"
          value={values.route}
          maxLength={80}
          onChange={(route) => set({ route })}
        />
        <NumberField
          label="Table, along the home edge"
          unit={MM}
          min={200}
          max={20000}
          value={values.widthM}
          onChange={(widthM) => set({ widthM })}
        />
        <NumberField
          label="Table, away from it"
          unit={MM}
          min={200}
          max={20000}
          value={values.heightM}
          onChange={(heightM) => set({ heightM })}
        />
      </fieldset>
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <Button look="strong" type="submit">
        Begin, and put the missions on the table
      </Button>
    </form>
  );
}
