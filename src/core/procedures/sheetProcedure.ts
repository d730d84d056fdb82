import { z } from 'zod';
import { buildingSheet, type BuildingSheet } from '../building/sheet';
import { numbersToType } from '../course/programSentence';
import { routeSchema } from '../course/route';
import { stepCard, typedSentences } from '../course/stepCard';
import { procedure } from '../procedure/procedure';
import { robotSchema } from '../robot/robot';
import { tableSchema } from '../table/table';

const sheetInput = z.strictObject({ robot: robotSchema, table: tableSchema, route: routeSchema });

/** The same as text: card, then what is plugged in, the program and its blocks. */
function markdownOf(
  card: readonly { number: string; when: string; words: string; typed: string[] }[],
  { devices, recipes, program, notes }: BuildingSheet,
  toType: string | null,
): string {
  const code = (lines: readonly string[]) => ['```text', ...lines, '```'];
  return [
    '## Plugged in',
    ...devices.map(({ name, device, port }) => `- [ ] ${name}: ${device}, ${port}`),
    ...(toType === null ? [] : ['', toType]),
    '',
    '## Step by step',
    ...card.map(({ number, when, words, typed }) =>
      [`- **${number}**`, ...(when === '' ? [] : [`*${when}*`]), `${words}.`, ...typed].join(' '),
    ),
    '',
    '## The program',
    ...notes,
    ...code(program),
    '',
    '## Blocks of your own',
    ...recipes.flatMap(({ name, parameters, lines }) => [
      `### ${name}`,
      parameters.map((one) => [one.name, one.unit].join(' ').trim()).join(', '),
      ...code(lines),
    ]),
    '',
  ].join('\n');
}

function sheet({ robot, table, route }: z.output<typeof sheetInput>) {
  const card = stepCard(route, robot, table).map(({ step, planned: _, ...row }) => ({
    ...row,
    kind: step.kind,
    typed: typedSentences(row),
  }));
  const building = buildingSheet(route, robot, table);
  return { card, sheet: building, markdown: markdownOf(card, building, numbersToType(robot)) };
}

export const sheetProcedure = procedure(
  'sheet',
  'a route as it is typed into the robot: its numbers and inequalities, in the units and signs of its own programs',
  sheetInput,
  sheet,
);
