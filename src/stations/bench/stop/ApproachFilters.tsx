import { useMemo } from 'react';
import { filteredApproaches } from '../../../core/ranging/approachFilters';
import type { StopModel } from '../../../core/ranging/stopModel';
import { planFrom, type Reads, type Wanted } from '../../../core/ranging/stopStudy';
import { errorLength, number } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

interface Props {
  model: StopModel;
  reads: Reads;
  wanted: Wanted;
}

/** What comparing a mean or a median of the latest readings would do instead of a single one. */
export function ApproachFilters({ model, reads, wanted }: Props) {
  const rows = useMemo(
    () => filteredApproaches(planFrom(model, reads, wanted)),
    [model, reads, wanted],
  );
  return (
    <details>
      <summary>With a filter: mean or median of the latest readings</summary>
      <p className="faint">
        A filter is steadier and later. A median also passes over a single reading that is far off.
      </p>
      <Table
        label="Filters of the distance readings"
        rows={rows}
        keyOf={({ name }) => name}
        columns={[
          { title: 'It compares', head: true, cell: ({ name }) => name },
          {
            title: 'Stop at or under',
            number: true,
            cell: ({ thresholdReadingM }) => errorLength(thresholdReadingM),
          },
          {
            title: 'Single stops',
            number: true,
            cell: ({ gapSdM }) => `± ${errorLength(gapSdM, 1)}`,
          },
          {
            title: 'Later by',
            number: true,
            cell: ({ delayS }) => `${number(1000 * delayS)} ms`,
          },
        ]}
      />
    </details>
  );
}
