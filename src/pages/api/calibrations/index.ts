import { applyRequest } from '../../../formats/benchRecords';
import { endpoint, json, readBody } from '../../../server/endpoint';
import { applyCalibration } from '../../../server/stores/calibrations';

/** Keep a calibration and let it hold from now on. */
export const POST = endpoint(async (db, { request }) =>
  json(await applyCalibration(db, await readBody(request, applyRequest))),
);
