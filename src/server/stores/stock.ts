import { stockDeviceRecord, type StockDeviceRecord } from '../../formats/records';
import { type TeamDatabase, inTransaction } from '../database';
import { archivedColumn } from './archived';
import { columnsOf, fromRow } from './fromRow';
import { saveVersioned, type Kept } from './versioned';

const toRecord = fromRow(stockDeviceRecord);

const stockKept = (db: TeamDatabase): Kept<StockDeviceRecord> => ({
  what: 'unit',
  isOfTeam: db.teamId,
  model: db.models.stockUnit,
  read: (row) => Promise.resolve(toRecord(row)),
  columns: (record) => ({ ...columnsOf(record), archivedAt: archivedColumn(record.archivedAt) }),
});

/** Put a unit into the stock, change it there, or throw it away. */
export const saveStockDevice = (
  db: TeamDatabase,
  record: StockDeviceRecord,
): Promise<StockDeviceRecord> =>
  inTransaction(db, (transaction) => saveVersioned(stockKept(db), record, transaction));

/** The stock of a team, in the order in which it came in. */
export const listStock = async (db: TeamDatabase): Promise<StockDeviceRecord[]> =>
  (await db.models.stockUnit.findAll({ where: { archivedAt: null }, order: ['id'] })).map(toRecord);
