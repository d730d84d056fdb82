import { seriesRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveSeries } from '../../../server/stores/series';

export const PUT = putEndpoint(seriesRecord, saveSeries);
