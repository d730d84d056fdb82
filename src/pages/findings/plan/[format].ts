import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { endpoint } from '../../../server/endpoint';
import { notFound } from '../../../server/problem';
import { planMarkdown, sidesCsv } from '../../../server/services/comparisonText';
import { planFindings, planSoFar } from '../../../server/services/runPlan';
import { selectedRuns } from '../../../server/stores/selectedRuns';
import { textFile } from '../../../server/textFile';
import { CloudPicture, PAPER_COLOURS } from '../../../stations/findings/compare/CloudPicture';

/** A plan of runs as a file: Markdown with its picture, or CSV of its runs. */
export const GET = endpoint(async (db, { params, url }) => {
  const found = await planSoFar(db, url.searchParams.get('plan'));
  if (found === null) throw notFound('plan');
  if (params.format === 'csv') {
    const sides = found.soFar.ways.map(async ({ way, label, seriesId }) => ({
      name: `${way} ${label}`,
      runs: (await selectedRuns(db, { of: 'series', id: seriesId })).runs,
    }));
    return textFile('plan', 'csv', sidesCsv(await Promise.all(sides)));
  }
  if (params.format !== 'markdown') throw notFound('format');
  const told = await planFindings(db, found);
  const picture =
    told.clouds === null
      ? null
      : renderToStaticMarkup(
          createElement(CloudPicture, {
            before: told.clouds[0],
            after: told.clouds[1],
            label: 'Where the runs of both ways ended',
            colours: PAPER_COLOURS,
          }),
        );
  return textFile('plan', 'md', planMarkdown(found, told, picture));
});
