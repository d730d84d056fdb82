import { robotChangeRecord } from '../../../formats/benchRecords';
import { putEndpoint } from '../../../server/endpoint';
import { saveRobotChange } from '../../../server/stores/robotChanges';

export const PUT = putEndpoint(robotChangeRecord, saveRobotChange);
