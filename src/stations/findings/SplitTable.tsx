import type { RunGroup } from '../../core/runs/findings';
import { percent } from '../../core/text/quantities';
import { Table } from '../../ui/Table';
import { smallText, signedSmall, smallUnit } from './figures';

const spreadText = (biasM: number | null, sdM: number | null): string =>
  `${signedSmall(biasM) ?? ''} ± ${smallText(sdM) ?? '–'} ${smallUnit()}`;

/** The same figures for the runs that share something: who placed the robot, or the battery. */
export function SplitTable({ title, groups }: { title: string; groups: readonly RunGroup[] }) {
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <Table
        rows={groups}
        keyOf={({ name }) => name}
        columns={[
          { title: 'Value', hidden: true, head: true, cell: ({ name }) => name },
          { title: 'Runs', number: true, cell: ({ n }) => n },
          {
            title: 'Worked',
            cell: ({ success }) => (success === null ? '–' : percent(success.rate)),
          },
          {
            title: '95 % sure',
            number: true,
            cell: ({ success }) =>
              success === null ? '–' : `${percent(success.low95)} to ${percent(success.high95)}`,
          },
          {
            title: 'Along ± spread',
            number: true,
            cell: ({ figures }) =>
              figures === null ? '–' : spreadText(figures.biasAlongM, figures.sdAlongM),
          },
          {
            title: 'Across ± spread',
            number: true,
            cell: ({ figures }) =>
              figures === null ? '–' : spreadText(figures.biasAcrossM, figures.sdAcrossM),
          },
        ]}
      />
    </section>
  );
}
