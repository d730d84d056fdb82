import { differingValues } from '../formats/differences';
import { Button } from '../ui/Button';
import { Dialog } from '../ui/Dialog';

interface Versioned {
  version: number;
}

interface Props<R extends Versioned> {
  what: string;
  mine: R;
  theirs: R;
  /** My values, to be saved over theirs. */
  onKeepMine(record: R): void;
  onTakeTheirs(record: R): void;
  onClose(): void;
}

const shown = (value: unknown) => (value === undefined ? '(nothing)' : JSON.stringify(value));

/** Somebody else saved meanwhile: both are shown, and neither is lost without a decision. */
export function ConflictDialog<R extends Versioned>(props: Props<R>) {
  const { what, mine, theirs, onKeepMine, onTakeTheirs, onClose } = props;
  const differences = differingValues(mine, theirs).filter(({ path }) => path !== 'version');
  return (
    <Dialog
      title={`This ${what} was changed somewhere else`}
      onClose={onClose}
      actions={
        <>
          <Button onClick={() => onTakeTheirs(theirs)}>Take theirs</Button>
          <Button look="strong" onClick={() => onKeepMine({ ...mine, version: theirs.version })}>
            Save mine over it
          </Button>
        </>
      }
    >
      <p>What differs between what you typed and what was saved meanwhile:</p>
      <table>
        <thead>
          <tr>
            <th scope="col">Value</th>
            <th scope="col">Yours</th>
            <th scope="col">Theirs</th>
          </tr>
        </thead>
        <tbody>
          {differences.map((difference) => (
            <tr key={difference.path}>
              <th scope="row">{difference.path}</th>
              <td>{shown(difference.mine)}</td>
              <td>{shown(difference.theirs)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Dialog>
  );
}
