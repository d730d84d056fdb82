import { fittedRobot as reckon } from '../../core/calibration/fittedRobot';
import { remembered } from './remembered';

const reckoned = remembered(([record, values]: Parameters<typeof reckon>) =>
  reckon(record, values),
);

/** The fitted robot of a record and the calibrations that hold; its turns are simulated for that. */
export const fittedRobot = (...question: Parameters<typeof reckon>) => reckoned(question);
