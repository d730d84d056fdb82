import { endpoint, json } from '../../../../server/endpoint';
import { listRuns } from '../../../../server/stores/runs';

export const GET = endpoint(async (db, { params }) =>
  json({ runs: await listRuns(db, params.id ?? '') }),
);
