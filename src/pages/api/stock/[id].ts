import { stockUnitRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveStockUnit } from '../../../server/stores/stock';

export const PUT = putEndpoint(stockUnitRecord, saveStockUnit);
