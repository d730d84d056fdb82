import { benchLogPiece } from '../../../../formats/benchLogs';
import { endpoint, json, readBody } from '../../../../server/endpoint';
import { notFound } from '../../../../server/problem';
import { findLogPiece, saveLogPiece } from '../../../../server/stores/benchLogs';

const MAX_PIECE_BYTES = 1_500_000;

/** One piece of an announced log. */
export const POST = endpoint(async (db, { request, params }) => {
  await saveLogPiece(db, params.id ?? '', await readBody(request, benchLogPiece, MAX_PIECE_BYTES));
  return json({ ok: true });
});

/** One piece of a log, by its number; only some of its channels, where `channels` names them. */
export const GET = endpoint(async (db, { params, url }) => {
  const { searchParams } = url;
  const asked = searchParams.get('number') ?? '';
  const keys = searchParams.get('channels')?.split(',') ?? null;
  const piece = /^\d{1,9}$/.test(asked)
    ? await findLogPiece(db, params.id ?? '', Number(asked), keys)
    : null;
  if (piece === null) throw notFound('piece of a log');
  return json(piece);
});
