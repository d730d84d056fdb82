import { restsOnSentence, type RestsOn } from '../core/sources/restsOnSentence';
import { Table } from '../ui/Table';

interface Props {
  rows: readonly RestsOn[];
  robotId: string;
}

/** What every figure of a robot rests on, one press away: measured when and by how much, or a guess. */
export const RestsOnFold = ({ rows, robotId }: Props) => (
  <details data-testid="rests-on">
    <summary>What the figures rest on: {restsOnSentence(rows)}</summary>
    <Table
      label="What it rests on"
      rows={rows}
      keyOf={({ name }) => name}
      columns={[
        { title: 'What', head: true, cell: ({ name }) => name },
        { title: 'Computed with', cell: ({ figure }) => figure ?? '–' },
        { title: 'Within (95 %)', cell: ({ within }) => within },
        {
          title: 'Rests on',
          cell: ({ by, isMeasured, procedure }) =>
            procedure === null || isMeasured ? (
              by
            ) : (
              <a href={`/bench/${procedure}?robot=${robotId}`}>{by}</a>
            ),
        },
      ]}
    />
  </details>
);
