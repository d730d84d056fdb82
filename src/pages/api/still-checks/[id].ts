import { stillCheckRecord } from '../../../formats/benchRecords';
import { putEndpoint } from '../../../server/endpoint';
import { saveStillCheck } from '../../../server/stores/stillChecks';

export const PUT = putEndpoint(stillCheckRecord, saveStillCheck);
