import { runImport } from '../../../../formats/records';
import { endpoint, json, readBody } from '../../../../server/endpoint';
import { Problem } from '../../../../server/problem';
import { importRuns } from '../../../../server/stores/runs';

const MAX_IMPORT_BYTES = 2 * 1024 * 1024;

/** Save the runs of a file into a series, all or none. */
export const POST = endpoint(async (db, { request, params }) => {
  const { runs } = await readBody(request, runImport, MAX_IMPORT_BYTES);
  const stray = runs.findIndex((run) => run.seriesId !== params.id);
  if (stray >= 0) {
    const path = `runs[${stray}].seriesId`;
    throw new Problem(422, 'invalid', `${path}: expected the series of the address`, { path });
  }
  return json({ runs: await importRuns(db, params.id ?? '', runs) });
});
