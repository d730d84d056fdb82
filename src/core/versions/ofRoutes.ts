import { stepsWithIds } from './stepsWithIds';
import { waitsForConditions } from './waitsForConditions';
import type { Ways } from './way';

/** How records of routes have changed. */
export const ROUTE_WAYS: Ways = [stepsWithIds, waitsForConditions];
