import { fetchedLater } from '../ui/fetchedLater';
import type { ConflictDialog as Dialog } from './ConflictDialog';

/** It knows the words for every value there is: fetched when two have changed the same. */
export const ConflictDialog = fetchedLater(
  async () => (await import('./ConflictDialog')).ConflictDialog,
) as typeof Dialog;
