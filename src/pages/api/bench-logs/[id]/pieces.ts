import { benchLogPiece } from '../../../../formats/benchRecords';
import { endpoint, json, readBody } from '../../../../server/endpoint';
import { notFound } from '../../../../server/problem';
import { findLogPiece, saveLogPiece } from '../../../../server/stores/benchLogs';

const MAX_PIECE_BYTES = 1_500_000;

/** One piece of an announced log. */
export const POST = endpoint(async (db, { request, params }) => {
  await saveLogPiece(db, params.id ?? '', await readBody(request, benchLogPiece, MAX_PIECE_BYTES));
  return json({ ok: true });
});

/** One piece of a log, by its number. */
export const GET = endpoint(async (db, { params, url }) => {
  const number = Number(url.searchParams.get('number') ?? Number.NaN);
  const piece = Number.isInteger(number) ? await findLogPiece(db, params.id ?? '', number) : null;
  if (piece === null) throw notFound('piece of a log');
  return json(piece);
});
