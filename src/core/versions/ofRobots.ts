import { gainsByController } from './gainsByController';
import { unitsInOneList } from './unitsInOneList';
import type { Ways } from './way';

/** How records of robots have changed. */
export const ROBOT_WAYS: Ways = [unitsInOneList, gainsByController];
