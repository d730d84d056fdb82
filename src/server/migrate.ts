import { SequelizeStorage, Umzug } from 'umzug';
import type { Database } from './database';
import { holdingLock } from './namedLock';
import * as firstTables from './migrations/0001-0019/0001-first-tables';
import * as bench from './migrations/0001-0019/0002-bench';
import * as stillSettings from './migrations/0001-0019/0003-still-settings';
import * as orderOfEntry from './migrations/0001-0019/0004-order-of-entry';
import * as archive from './migrations/0001-0019/0005-archive';
import * as archivedTrials from './migrations/0001-0019/0006-archived-trials';
import * as logColumns from './migrations/0001-0019/0007-log-columns';
import * as teamSettings from './migrations/0001-0019/0008-team-settings';
import * as stock from './migrations/0001-0019/0011-stock';
import * as calibrationsOfUnits from './migrations/0001-0019/0012-calibrations-of-units';
import * as season from './migrations/0001-0019/0013-season';
import * as runsFound from './migrations/0001-0019/0014-runs-found';
import * as seriesGrouped from './migrations/0001-0019/0015-series-grouped';
import * as endsKept from './migrations/0001-0019/0016-ends-kept';
import * as checkedCalibrations from './migrations/0001-0019/0018-checked-calibrations';
import * as sincePowerUp from './migrations/0001-0019/0019-since-power-up';
import * as newestOfAll from './migrations/0020-0039/0020-newest-of-all';
import * as colouredFields from './migrations/0020-0039/0021-coloured-fields';
import * as rowsOfATeam from './migrations/0020-0039/0022-rows-of-a-team';
import * as typedPrograms from './migrations/0020-0039/0023-typed-programs';
import * as partsOfMissions from './migrations/0020-0039/0024-parts-of-missions';
import * as matches from './migrations/0020-0039/0025-matches';
import * as mats from './migrations/0020-0039/0026-mats';
import * as checksOfUnits from './migrations/0001-0019/0017-checks-of-units';
import * as standInOfEachRobot from './migrations/0001-0019/0010-stand-in-of-each-robot';
import * as typedStillChecks from './migrations/0001-0019/0009-typed-still-checks';

/** In the order in which they run. */
export const MIGRATIONS = [
  { name: '0001-first-tables', up: firstTables.up },
  { name: '0002-bench', up: bench.up },
  { name: '0003-still-settings', up: stillSettings.up },
  { name: '0004-order-of-entry', up: orderOfEntry.up },
  { name: '0005-archive', up: archive.up },
  { name: '0006-archived-trials', up: archivedTrials.up },
  { name: '0007-log-columns', up: logColumns.up },
  { name: '0008-team-settings', up: teamSettings.up },
  { name: '0009-typed-still-checks', up: typedStillChecks.up },
  { name: '0010-stand-in-of-each-robot', up: standInOfEachRobot.up },
  { name: '0011-stock', up: stock.up },
  { name: '0012-calibrations-of-units', up: calibrationsOfUnits.up },
  { name: '0013-season', up: season.up },
  { name: '0014-runs-found', up: runsFound.up },
  { name: '0015-series-grouped', up: seriesGrouped.up },
  { name: '0016-ends-kept', up: endsKept.up },
  { name: '0017-checks-of-units', up: checksOfUnits.up },
  { name: '0018-checked-calibrations', up: checkedCalibrations.up },
  { name: '0019-since-power-up', up: sincePowerUp.up },
  { name: '0020-newest-of-all', up: newestOfAll.up },
  { name: '0021-coloured-fields', up: colouredFields.up },
  { name: '0022-rows-of-a-team', up: rowsOfATeam.up },
  { name: '0023-typed-programs', up: typedPrograms.up },
  { name: '0024-parts-of-missions', up: partsOfMissions.up },
  { name: '0025-matches', up: matches.up },
  { name: '0026-mats', up: mats.up },
] as const;

/**
 * Bring the tables up to this version of Corvat; forward only, each migration once. Of two that start at the same
 * time on one database one waits for the other, and finds nothing left to do.
 */
export const migrate = (db: Database): Promise<string[]> =>
  holdingLock(db.url, 'migration', () => bringUp(db));

async function bringUp({ sequelize }: Database): Promise<string[]> {
  const queryInterface = sequelize.getQueryInterface();
  const storage = new SequelizeStorage({ sequelize, tableName: 'migration' });
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(queryInterface) })),
    storage,
    logger: undefined,
  });
  // Umzug itself tells only of the migrations that it knows.
  const unknown = (await storage.executed()).filter(
    (name) => !MIGRATIONS.some((known) => known.name === name),
  );
  if (unknown.length > 0) {
    throw new Error(
      `The data folder was written by a newer Corvat (it knows ${unknown.join(', ')}). Update this folder, or restore a backup into an empty one.`,
    );
  }
  return (await umzug.up()).map(({ name }) => name);
}
