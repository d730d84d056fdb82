import { benchLogRecord } from '../../../formats/benchLogs';
import { endpoint, json, putEndpoint } from '../../../server/endpoint';
import { notFound } from '../../../server/problem';
import { findLog, storeLog } from '../../../server/stores/benchLogs';

export const PUT = putEndpoint(benchLogRecord, storeLog);

/** What a log is called, how long it is and in how many pieces it comes. */
export const GET = endpoint(async (db, { params }) => {
  const log = await findLog(db, params.id ?? '');
  if (log === null) throw notFound('log');
  return json(log);
});
