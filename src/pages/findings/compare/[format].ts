import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { selectionFrom } from '../../../formats/runs/selection';
import { endpoint } from '../../../server/endpoint';
import { notFound, Problem } from '../../../server/problem';
import { compared } from '../../../server/services/comparison';
import {
  cloudOf,
  comparisonCsv,
  comparisonMarkdown,
} from '../../../server/services/comparisonText';
import { textFile } from '../../../server/textFile';
import { CloudPicture, PAPER_COLOURS } from '../../../stations/findings/compare/CloudPicture';

const NAME = 'did-it-help';

/** A comparison as a file: Markdown with its picture, or CSV of all its runs. */
export const GET = endpoint(async (db, { params, url }) => {
  const [a, b] = [selectionFrom('a', url.searchParams), selectionFrom('b', url.searchParams)];
  if (a === null || b === null) {
    throw new Problem(422, 'invalid', 'a.series, b.series: expected the series of both sides');
  }
  const found = await compared(db, a, b);
  if (params.format === 'csv') return textFile(NAME, 'csv', comparisonCsv(found));
  if (params.format !== 'markdown') throw notFound('format');
  const picture = renderToStaticMarkup(
    createElement(CloudPicture, {
      before: cloudOf(found.a),
      after: cloudOf(found.b),
      label: 'Where the runs of both ended',
      colours: PAPER_COLOURS,
    }),
  );
  return textFile(NAME, 'md', comparisonMarkdown(found, picture));
});
