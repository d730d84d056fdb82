import { stockDeviceRecord } from '../../../formats/records';
import { putEndpoint } from '../../../server/endpoint';
import { saveStockDevice } from '../../../server/stores/stock';

export const PUT = putEndpoint(stockDeviceRecord, saveStockDevice);
