import { z } from 'zod';
import { standInRequest } from '../../formats/benchRecords';
import { endpoint, json, readBody } from '../../server/endpoint';
import { actOnStandIn, readStandIn } from '../../server/stores/standIns';

const since = z.coerce.number().min(0).catch(0);

/** What the stand-in reads, and has read since a moment of its clock. */
export const GET = endpoint(async (db, { url }) =>
  json(
    await readStandIn(
      db,
      url.searchParams.get('robot'),
      since.parse(url.searchParams.get('since') ?? 0),
    ),
  ),
);

/** Do something with it. */
export const POST = endpoint(async (db, { request }) =>
  json(await actOnStandIn(db, await readBody(request, standInRequest))),
);
