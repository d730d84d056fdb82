import { Suspense, useState, type ReactNode } from 'react';
import { afterTurns, withScatter, zeroingSentence } from '../../../core/turns/zeroing';
import type { TurnErrorModel } from '../../../core/turns/errorModel';
import { Table } from '../../../ui/Table';

/** Whether to set the heading to 0 before each turn, or to count headings on: what is left over after several. */
export function ZeroOrCount({
  model,
  children,
}: {
  model: TurnErrorModel;
  /** The same over a route, shown when it is opened. */
  children: ReactNode;
}) {
  const [wanted, setWanted] = useState(false);
  const rows = afterTurns(model, model.toRad);
  const sentence = zeroingSentence(rows, model.toRad);
  if (sentence === null) return null;
  return (
    <details onToggle={() => setWanted(true)}>
      <summary>Zero before each turn, or count headings on?</summary>
      <p data-testid="zeroing">{sentence}</p>
      <Table
        label="Facing wrong after turns to one side, as they are told now"
        rows={rows}
        keyOf={({ turns }) => String(turns)}
        columns={[
          { title: 'Turns', number: true, cell: ({ turns }) => turns },
          {
            title: 'Zeroed before each',
            number: true,
            cell: ({ zeroedRad, zeroedSdRad }) => withScatter(zeroedRad, zeroedSdRad),
          },
          {
            title: 'Counted on',
            number: true,
            cell: ({ countedOnRad, countedOnSdRad }) => withScatter(countedOnRad, countedOnSdRad),
          },
        ]}
      />
      {wanted && <Suspense fallback={null}>{children}</Suspense>}
    </details>
  );
}
