import type { Ways } from './way';

/** How records of matches have changed: not yet. */
export const MATCH_WAYS: Ways = [{ name: 'launches', up: (record) => record }];
