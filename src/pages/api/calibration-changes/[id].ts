import { calibrationChangeRecord } from '../../../formats/benchRecords';
import { putEndpoint } from '../../../server/endpoint';
import { changeCalibration } from '../../../server/stores/calibrations';

export const PUT = putEndpoint(calibrationChangeRecord, changeCalibration);
