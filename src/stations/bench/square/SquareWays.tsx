import type { SquareWay } from '../../../core/square/squareWays';
import { degrees, errorLength } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

/** Laps by the encoders beside laps by the gyro. */
export const SquareWays = ({ ways, sentence }: { ways: SquareWay[]; sentence: string }) => (
  <>
    <p data-testid="square-ways">{sentence}</p>
    <Table
      label="By the encoders, and by the gyro"
      rows={ways}
      keyOf={({ driven }) => driven}
      columns={[
        { title: 'Driven by', head: true, cell: ({ driven }) => `the ${driven}` },
        { title: 'Laps', number: true, cell: ({ laps }) => laps },
        { title: 'End off their start', number: true, cell: ({ offM }) => errorLength(offM) },
        { title: 'Turned over', number: true, cell: ({ headingRad }) => degrees(headingRad) },
      ]}
    />
  </>
);
