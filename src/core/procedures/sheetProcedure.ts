import { z } from 'zod';
import { unitText } from '../course/leaveText';
import { numbersToType } from '../course/programSentence';
import { routeSchema } from '../course/route';
import { stepCard, typedSentences } from '../course/stepCard';
import { procedure } from '../procedure/procedure';
import { robotSchema } from '../robot/robot';
import { tableSchema } from '../table/table';

const sheetInput = z.strictObject({ robot: robotSchema, table: tableSchema, route: routeSchema });

function sheet({ robot, table, route }: z.output<typeof sheetInput>) {
  const card = stepCard(route, robot, table).map(({ step, planned: _, ...row }) => ({
    ...row,
    kind: step.kind,
    typed: typedSentences(row),
  }));
  const devices = robot.units
    .filter(({ port }) => port !== null)
    .map(({ kind, label, programName, port }) => ({ kind, label, name: programName, port }));
  const toType = numbersToType(robot);
  const units = robot.units.filter(({ port }) => port !== null);
  const markdown = [
    '## Plugged in',
    ...units.map((unit) => `- [ ] ${unit.kind}: ${unitText(unit)}`),
    ...(toType === null ? [] : ['', toType]),
    '',
    '## Step by step',
    ...card.map(({ number, when, words, typed }) =>
      [`- **${number}**`, ...(when === '' ? [] : [`*${when}*`]), `${words}.`, ...typed].join(' '),
    ),
    '',
  ].join('\n');
  return { card, devices, markdown };
}

export const sheetProcedure = procedure(
  'sheet',
  'a route as it is typed into the robot: its numbers and inequalities, in the units and signs of its own programs',
  sheetInput,
  sheet,
);
