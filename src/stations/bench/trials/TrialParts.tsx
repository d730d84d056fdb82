import { useState } from 'react';
import { counted } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { Table, type Column } from '../../../ui/Table';

/** A longer list is folded away when a screen opens. */
const SHOWN_OPEN = 8;

/** A trial with its place in the list. */
interface Numbered<Trial> {
  trial: Trial;
  no: number;
}

interface Props<Trial> {
  label: string;
  /** One of them, as in "3 laps". */
  what: string;
  trials: readonly Trial[];
  columns: readonly Column<Numbered<Trial>>[];
  /** Where trials are set aside from the table itself. */
  onSetAside?(trial: Trial): void;
  onTakeBack?(trial: Trial): void;
}

/** A table of trials under a line that says how many there are; it can be folded away. */
export function FoldedTable<Trial extends { id: string; setAsideReason: string | null }>({
  label,
  what,
  trials,
  columns,
  onSetAside,
  onTakeBack,
}: Props<Trial>) {
  // As it was found: a list that grows must not fold itself away.
  const [isOpen] = useState(trials.length <= SHOWN_OPEN);
  return (
    <details open={isOpen}>
      <summary>{counted(trials.length, what)}, the newest first</summary>
      <Table
        label={label}
        rows={trials.map((trial, i) => ({ trial, no: i + 1 })).toReversed()}
        keyOf={({ trial }) => trial.id}
        isAside={({ trial }) => trial.setAsideReason !== null}
        columns={[
          { title: 'No.', number: true, cell: ({ no }) => no },
          ...columns,
          ...(onSetAside === undefined
            ? []
            : [
                {
                  title: 'Set aside',
                  cell: ({ trial, no }: Numbered<Trial>) => (
                    <>
                      {trial.setAsideReason}{' '}
                      <AsideButton
                        what={`${what} ${no}`}
                        isAside={trial.setAsideReason !== null}
                        onSetAside={() => onSetAside(trial)}
                        onTakeBack={() => onTakeBack?.(trial)}
                      />
                    </>
                  ),
                },
              ]),
        ]}
      />
    </details>
  );
}

/** Set one trial aside, or take it back; none is ever deleted. */
export function AsideButton({
  what,
  isAside,
  onSetAside,
  onTakeBack,
}: {
  /** "trial 3" */
  what: string;
  isAside: boolean;
  onSetAside(): void;
  onTakeBack(): void;
}) {
  return isAside ? (
    <Button look="bare" aria-label={`Take ${what} back`} onClick={onTakeBack}>
      Take back
    </Button>
  ) : (
    <Button look="bare" aria-label={`Set ${what} aside`} onClick={onSetAside}>
      Set aside
    </Button>
  );
}
