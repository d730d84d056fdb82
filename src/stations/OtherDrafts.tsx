import { dayAndClockOf } from '../ui/dates';
import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';
import type { Draft } from './drafts';

const when = (at: number): string => dayAndClockOf(new Date(at));

/** What another window has changed and not saved: nothing of it vanishes without a decision. */
export function OtherDrafts<T>({
  what,
  others,
  onTake,
  onDrop,
}: {
  what: string;
  others: readonly Draft<T>[];
  onTake(draft: Draft<T>): void;
  onDrop(draft: Draft<T>): void;
}) {
  return others.map((draft) => (
    <Notice
      key={draft.key}
      tone="careful"
      action={
        <>
          <Button onClick={() => onTake(draft)}>Take that one</Button>
          <Button look="bare" onClick={() => onDrop(draft)}>
            Throw it away
          </Button>
        </>
      }
    >
      This {what} was changed in another window as well ({when(draft.at)}) and not saved there.
    </Notice>
  ));
}
