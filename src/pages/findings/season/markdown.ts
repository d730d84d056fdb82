import { endpoint } from '../../../server/endpoint';
import { changesMarkdown } from '../../../server/services/comparisonText';
import { changesDone } from '../../../server/services/seasonOfChanges';
import { seriesPage } from '../../../server/stores/series';
import { textFile } from '../../../server/textFile';

/** So many of the last series. */
const MOST = 100;

/** What each change did, as Markdown. */
export const GET = endpoint(async (db) =>
  textFile(
    'season',
    'md',
    changesMarkdown(await changesDone(db, await seriesPage(db, { limit: MOST }))),
  ),
);
