import { benchLogRecord } from '../../../formats/benchRecords';
import { putEndpoint } from '../../../server/endpoint';
import { saveLog } from '../../../server/stores/benchLogs';

export const PUT = putEndpoint(benchLogRecord, saveLog);
