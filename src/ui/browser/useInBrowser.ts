import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** Something that only the browser knows; what the server says of it stands there until the page has taken over. */
export const useInBrowser = <T extends string | boolean | null>(read: () => T, onServer: T): T =>
  useSyncExternalStore(never, read, () => onServer);
