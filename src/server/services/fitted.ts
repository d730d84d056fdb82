import { fittedRobot as fit } from '../../core/calibration/fittedRobot';
import { remembered } from './remembered';

const fitted = remembered(([record, values]: Parameters<typeof fit>) => fit(record, values));

/** The fitted robot of a record and the calibrations that hold; its turns are simulated for that. */
export const keptFittedRobot = (...question: Parameters<typeof fit>) => fitted(question);
