import { useMemo } from 'react';
import type { DrivenBy, LapReturn } from '../../../core/square/squarePath';
import { squareWays } from '../../../core/square/squareWays';
import { degrees, errorLength } from '../../../core/text/quantities';
import { Table } from '../../../ui/Table';

/** Laps by the encoders beside laps by the gyro. */
export function SquareWays({ laps }: { laps: (LapReturn & { driven: DrivenBy })[] }) {
  const found = useMemo(() => squareWays(laps), [laps]);
  if (found === null) return null;
  const { ways, sentence } = found;
  return (
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
}
