import { routeRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveRoute } from '../../../server/stores/routes';

export const PUT = putEndpoint(routeRecord, saveRoute);
