import { runRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveRun } from '../../../server/stores/runs';

export const PUT = putEndpoint(runRecord, saveRun);
