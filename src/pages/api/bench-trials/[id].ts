import { benchTrialsRecord } from '../../../formats/benchRecords';
import { putEndpoint } from '../../../server/endpoint';
import { saveTrials } from '../../../server/stores/benchTrials';

export const PUT = putEndpoint(benchTrialsRecord, saveTrials);
