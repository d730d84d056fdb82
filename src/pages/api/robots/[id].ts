import { robotRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveRobot } from '../../../server/stores/robots';

export const PUT = putEndpoint(robotRecord, saveRobot);
