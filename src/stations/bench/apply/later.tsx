import { fetchedLater } from '../../../ui/fetchedLater';

/** Fetched when something is about to be applied. */
export const ApplyDialog = fetchedLater(async () => (await import('./ApplyDialog')).ApplyDialog);

/** It walks through whole routes. */
export const RouteChanges = fetchedLater(async () => (await import('./RouteChanges')).RouteChanges);
