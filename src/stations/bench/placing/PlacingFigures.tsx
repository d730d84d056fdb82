import { acrossAfterOneMetre, type Placed, type PlacingGroup } from '../../../core/placing/placing';
import { between, degrees, errorLength, headingText, aMetre } from '../../../core/text/quantities';
import { errorFigure, errorScale } from '../../../core/text/lengths';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

const SHAPES = ['circle', 'rectRot', 'triangle', 'rect', 'crossRot'] as const;
const MARKS: Record<(typeof SHAPES)[number], string> = {
  circle: '●',
  rectRot: '◆',
  triangle: '▲',
  rect: '■',
  crossRot: '×',
};
const shapeOf = (i: number) => SHAPES[i % SHAPES.length] ?? 'circle';
const called = ({ person, way }: PlacingGroup) => `${person}, ${way}`;

/** Where each placing would be after a metre of driving straight ahead. */
export const PlacingChart = ({ groups }: { groups: readonly PlacingGroup[] }) => (
  <Frame
    title={`Across the way after ${aMetre()}`}
    sentence={`Each mark is one placing, driven ${aMetre()} straight ahead in thought: left is above.`}
    legend={groups.map((group, i) => `${MARKS[shapeOf(i)]} ${called(group)}`).join('   ')}
  >
    <Plot
      label={`Where each placing would be across its way after ${aMetre()}.`}
      xTitle="placing"
      yTitle={`across, ${errorScale().label}`}
      curves={groups.map((group, i) => ({
        label: called(group),
        points: group.poses.map((pose, k) => ({
          x: k + 1,
          y: errorFigure(acrossAfterOneMetre(pose)),
        })),
        tone: 'measured' as const,
        look: 'points' as const,
        shape: shapeOf(i),
      }))}
    />
  </Frame>
);

/** What is told of each group, in the order of a start. */
const partsOf = () =>
  [
    ['along', 'along', (value: number) => errorLength(value, 1)],
    ['across', 'across, left +', (value: number) => errorLength(value, 1)],
    ['heading', 'heading', (value: number) => degrees(value, 2)],
    ['afterOneMetre', `across after ${aMetre()}`, (value: number) => errorLength(value)],
  ] as const;

type Said = (value: number) => string;

const scatterOf = ({ scatter: { sd, low95, high95 } }: Placed, say: Said): string =>
  Number.isNaN(sd)
    ? '–'
    : `± ${say(sd)} (${say(low95)} to ${Number.isFinite(high95) ? say(high95) : 'any'})`;

const meanOf = ({ mean, low95, high95 }: Placed, say: Said, ends: [number, number]): string =>
  Number.isFinite(low95) && Number.isFinite(high95)
    ? `${say(mean)} (${say(ends[0])} to ${say(ends[1])})`
    : say(mean);

/** Scatter and, where it is known where the robot should stand, average of each person in each way. */
export const PlacingTable = ({
  groups,
  hasPlan,
}: {
  groups: readonly PlacingGroup[];
  hasPlan: boolean;
}) => {
  const rows = groups.flatMap((group) =>
    partsOf().map(([key, what, say]) => ({ group, key, what, say, placed: group[key] })),
  );
  return (
    <Table
      label="Who places it how exactly"
      rows={rows}
      keyOf={({ group, key }) => `${called(group)} ${key}`}
      columns={[
        { title: 'Who', head: true, cell: ({ group }) => called(group) },
        { title: 'Of what', cell: ({ what }) => what },
        {
          title: 'Single placings (95 %)',
          number: true,
          cell: ({ placed, say }) => scatterOf(placed, say),
        },
        ...(hasPlan
          ? [
              {
                title: 'On average off the plan (95 %)',
                number: true,
                cell: ({ key, placed, say }: (typeof rows)[number]) =>
                  key === 'heading'
                    ? meanOf(
                        placed,
                        (angle) => headingText(angle, 2),
                        between(placed.low95, placed.high95),
                      )
                    : meanOf(placed, say, [placed.low95, placed.high95]),
              },
            ]
          : []),
        { title: 'Placings', number: true, cell: ({ group }) => group.n },
      ]}
    />
  );
};
