import { LAST_STRETCH_M, type RankedStop } from '../../../core/ranging/stopKinds';
import { STOPS_BY } from '../../../core/ranging/stopsBy';
import { benchLength, benchSpeed, errorLength, number } from '../../../core/text/quantities';
import { Frame } from '../../../ui/Frame';
import { Table } from '../../../ui/Table';

/** Which kind of stop stands most alike on this robot, the best first. */
export const StopRanks = ({ ranked }: { ranked: readonly RankedStop[] }) => (
  <Frame
    title="Which stop to take"
    sentence={`Scatter of stops from one speed about their middle; the time is for the last ${benchLength(LAST_STRETCH_M)}.`}
  >
    <Table
      label="Kinds of stop, the most alike first"
      rows={ranked}
      keyOf={({ by }) => by}
      columns={[
        { title: 'By', head: true, cell: ({ by }) => STOPS_BY[by].title },
        { title: 'Stops', number: true, cell: ({ n }) => n },
        {
          title: 'Scatter',
          number: true,
          sortBy: ({ sdM }) => (Number.isNaN(sdM) ? null : sdM),
          cell: ({ sdM, sdLow95M, sdHigh95M }) =>
            Number.isNaN(sdM)
              ? 'two from one speed tell'
              : `± ${errorLength(sdM, 1)} (${errorLength(sdLow95M, 1)} to ${errorLength(sdHigh95M, 1)})`,
        },
        { title: 'Driven at', number: true, cell: ({ speedMPerS }) => benchSpeed(speedMPerS) },
        {
          title: 'Time',
          number: true,
          sortBy: ({ lastStretchS }) => lastStretchS,
          cell: ({ lastStretchS }) => `${number(lastStretchS, 1)} s`,
        },
        { title: 'Needs', cell: ({ by }) => STOPS_BY[by].needs },
      ]}
    />
  </Frame>
);
