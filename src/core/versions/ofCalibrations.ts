import { methodNamed } from './methodNamed';
import type { Ways } from './way';

/** How calibrations have changed. */
export const CALIBRATION_WAYS: Ways = [methodNamed];
