import { writeRunsCsv } from '../../../../formats/csv/runsCsv';
import { endpoint } from '../../../../server/endpoint';
import { listRuns } from '../../../../server/stores/runs';
import { seriesWithContext } from '../../../../server/services/seriesContext';

/** The runs of a series as a CSV file. */
export const GET = endpoint(async (db, { params }) => {
  const { course, series } = await seriesWithContext(db, params.id ?? '');
  const runs = await listRuns(db, series.id);
  return new Response(writeRunsCsv(runs, course.table.missions), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="runs-${series.id}.csv"`,
    },
  });
});
