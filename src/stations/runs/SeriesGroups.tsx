import { dayOf } from '../../ui/dates';
import { Table } from '../../ui/Table';

interface Group {
  name: string;
  series: number;
  lastAt: string;
  routeId: string | null;
}

const hrefOf = ({ name, routeId }: Group) =>
  `/runs?${new URLSearchParams(routeId === null ? { q: name } : { route: routeId })}`;

/** Series by route, or by what was tried; each group opens as a list. */
export const SeriesGroups = ({ title, groups }: { title: string; groups: readonly Group[] }) => (
  <Table
    label={title}
    rows={groups}
    keyOf={({ name, routeId }) => routeId ?? name}
    columns={[
      { title, head: true, cell: (group) => <a href={hrefOf(group)}>{group.name}</a> },
      { title: 'Series', number: true, cell: ({ series }) => series },
      { title: 'Last run on', cell: ({ lastAt }) => dayOf(lastAt) },
    ]}
  />
);
