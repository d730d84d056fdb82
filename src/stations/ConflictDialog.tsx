import { useState } from 'react';
import { differingValues, withTheirs } from '../formats/differences';
import { fieldName, fieldValue } from '../formats/fieldWords';
import { Button } from '../ui/Button';
import { Choice } from '../ui/fields/Choice';
import { Dialog } from '../ui/Dialog';
import styles from './ConflictDialog.module.css';

interface Versioned {
  version: number;
}

interface Props<R extends Versioned> {
  what: string;
  mine: R;
  theirs: R;
  /** What was chosen, to be saved over theirs. */
  onKeepMine(record: R): void;
  onTakeTheirs(record: R): void;
  onClose(): void;
}

/** Somebody else saved meanwhile: both are shown, value by value, and neither is lost without a decision. */
export function ConflictDialog<R extends Versioned>(props: Props<R>) {
  const { what, mine, theirs, onKeepMine, onTakeTheirs, onClose } = props;
  const differences = differingValues(mine, theirs).filter(({ path }) => path !== 'version');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const choose = (path: string, isTheirs: boolean) => {
    const next = new Set(chosen);
    if (isTheirs) next.add(path);
    else next.delete(path);
    setChosen(next);
  };
  const save = () => {
    if (chosen.size === differences.length) onTakeTheirs(theirs);
    else onKeepMine({ ...withTheirs(mine, differences, chosen), version: theirs.version });
  };
  return (
    <Dialog
      title={`This ${what} was changed somewhere else`}
      onClose={onClose}
      actions={
        <>
          <Button onClick={() => onTakeTheirs(theirs)}>Take all of theirs</Button>
          <Button look="strong" onClick={save}>
            {chosen.size === 0 ? 'Save mine over it' : 'Save what is chosen'}
          </Button>
        </>
      }
    >
      <p>What differs between what you typed and what was saved meanwhile: choose for each.</p>
      <div className={styles.differences}>
        {differences.map(({ path, mine: own, theirs: other }) => (
          <Choice
            key={path}
            label={fieldName(path, mine)}
            value={chosen.has(path) ? 'theirs' : 'mine'}
            options={[
              { value: 'mine', label: `yours: ${fieldValue(path, own, mine)}` },
              { value: 'theirs', label: `theirs: ${fieldValue(path, other, mine)}` },
            ]}
            onChange={(whose) => choose(path, whose === 'theirs')}
          />
        ))}
      </div>
    </Dialog>
  );
}
