import { Button } from '../ui/Button';
import { MendFirst, useFieldsInError } from '../ui/fields/fieldsInError';
import { Notice } from '../ui/Notice';
import { ConflictDialog } from './ConflictDialogLater';
import { OtherDrafts } from './OtherDrafts';
import styles from './Saving.module.css';
import type { useSaved, Versioned } from './useSaved';

interface Props<R extends Versioned> {
  what: string;
  saved: ReturnType<typeof useSaved<R>>;
}

/** Save a record, or go back to what is saved; and why it cannot be saved just now. */
export function SaveButtons<R extends Versioned>({
  what,
  saved,
  lacks = false,
  submits = false,
}: Props<R> & {
  /** Something without which it is no record. */
  lacks?: boolean;
  /** It stands in a form that saves when it is submitted, by a key as well. */
  submits?: boolean;
}) {
  const wrong = useFieldsInError() > 0 || lacks;
  return (
    <>
      <div className={styles.actions}>
        <Button
          look="strong"
          disabled={!saved.changed || saved.saving || wrong}
          {...(submits ? { type: 'submit' } : { onClick: () => void saved.save() })}
        >
          Save the {what}
        </Button>
        <Button disabled={!saved.changed && !wrong} onClick={() => saved.put(saved.saved)}>
          Back to what is saved
        </Button>
      </div>
      <MendFirst />
      {saved.problem !== null && <Notice tone="fault">{saved.problem}</Notice>}
    </>
  );
}

/** What other windows changed and did not save, and what somebody else saved meanwhile. */
export function ChangedElsewhere<R extends Versioned>({ what, saved }: Props<R>) {
  return (
    <>
      <OtherDrafts
        what={what}
        others={saved.others}
        onTake={(draft) => {
          saved.put({ ...draft.value, version: saved.saved.version });
          saved.drop(draft);
        }}
        onDrop={saved.drop}
      />
      {saved.theirs !== null && (
        <ConflictDialog
          what={what}
          mine={saved.draft}
          theirs={saved.theirs}
          onKeepMine={(mine) => void saved.save(mine)}
          onTakeTheirs={saved.accept}
          onClose={saved.dismiss}
        />
      )}
    </>
  );
}
