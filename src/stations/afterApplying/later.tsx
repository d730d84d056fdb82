import { fetchedLater } from '../../ui/fetchedLater';

/** Fetched when turns were applied: their page is the largest. */
export const ConfirmTurns = fetchedLater(async () => (await import('./ConfirmTurns')).ConfirmTurns);
