import { benchLogPiece } from '../../../../formats/benchRecords';
import { endpoint, json, readBody } from '../../../../server/endpoint';
import { saveLogPiece } from '../../../../server/stores/benchLogs';

const MAX_PIECE_BYTES = 1_500_000;

/** One piece of an announced log. */
export const POST = endpoint(async (db, { request, params }) => {
  await saveLogPiece(db, params.id ?? '', await readBody(request, benchLogPiece, MAX_PIECE_BYTES));
  return json({ ok: true });
});
