import { routeVersionRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveVersion } from '../../../server/stores/routes';

export const PUT = putEndpoint(routeVersionRecord, saveVersion);
