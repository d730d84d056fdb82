import { driftText } from '../../../core/gyro/driftText';
import type { StrategyRecord } from '../../../core/gyro/rezero';
import type { RezeroStrategy } from '../../../core/robot/rezeroStrategies';
import { clock, percent } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { Table } from '../../../ui/Table';

function soFar({ success, worked, tried }: StrategyRecord): string {
  if (success === null) return 'never tried here';
  return `${worked} of ${tried} (${percent(success.low95)} to ${percent(success.high95)})`;
}

interface TableProps {
  records: StrategyRecord[];
  /** How long this robot has to stand still before a run; null: no time is enough. */
  stillS: number | null;
  recommended: RezeroStrategy | null;
  chosen: RezeroStrategy | null;
  onChoose(school: RezeroStrategy): void;
}

/** The ways that this kit can do, with what each takes and has come to. */
export function StrategyTable({ records, stillS, recommended, chosen, onChoose }: TableProps) {
  return (
    <Table
      label="Ways to get rid of drift"
      rows={records}
      keyOf={({ facts }) => facts.school}
      columns={[
        {
          title: 'Way',
          cell: ({ facts }) =>
            facts.school === recommended ? (
              <>
                <strong>{facts.title}</strong>
                <small> (recommended)</small>
              </>
            ) : (
              facts.title
            ),
        },
        {
          title: 'Takes',
          number: true,
          cell: ({ facts: { takesS }, isOwnTime }) => (
            <>
              {takesS === null && stillS === null
                ? 'no time is enough'
                : clock(takesS ?? stillS ?? 0)}
              {takesS !== null && !isOwnTime && <small> as a rule</small>}
            </>
          ),
        },
        { title: 'Needs', cell: ({ facts }) => facts.needs },
        { title: 'Worked here', cell: soFar },
        {
          title: 'Drift left',
          number: true,
          cell: ({ leftRadPerS }) => (leftRadPerS === null ? '–' : driftText(leftRadPerS)),
        },
        {
          title: 'Choose',
          hidden: true,
          cell: ({ facts: { school, title } }) => (
            <Button
              look={school === recommended && chosen === null ? 'strong' : 'quiet'}
              aria-pressed={chosen === school}
              aria-label={`Try: ${title}`}
              onClick={() => onChoose(school)}
            >
              Try it
            </Button>
          ),
        },
      ]}
    />
  );
}
