import { toReading } from '../../../formats/readings';
import { endpoint } from '../../../server/endpoint';
import { readStandIn } from '../../../server/stores/standIns';

/** The stand-in's last minutes as a robot would write them to a file: one JSON object a line. */
export const GET = endpoint(async (db, { url }) => {
  const { readings } = await readStandIn(db, url.searchParams.get('robot'), 0);
  return new Response(readings.map((raw) => `${JSON.stringify(toReading(raw))}\n`).join(''), {
    headers: {
      'content-type': 'application/x-ndjson; charset=utf-8',
      'content-disposition': 'attachment; filename="stand-in.jsonl"',
      'cache-control': 'no-store',
    },
  });
});
