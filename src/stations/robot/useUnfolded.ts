import { useState } from 'react';

/** What was unfolded on this page; fields that begin anew after a save stay unfolded. */
const unfolded = new Set<string>();

/** Whether a part of the record is unfolded, for as long as the page lives. */
export function useUnfolded(part: string): [boolean, (open: boolean) => void] {
  const [open, setOpen] = useState(() => unfolded.has(part));
  const unfold = (next: boolean) => {
    if (next) unfolded.add(part);
    else unfolded.delete(part);
    setOpen(next);
  };
  return [open, unfold];
}
