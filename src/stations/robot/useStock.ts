import { useState } from 'react';
import { ulid } from 'ulid';
import type { Device } from '../../core/devices/device';
import type { StockDeviceRecord } from '../../formats/records';
import { putRecord, sentenceOf } from '../api';

/**
 * The team's stock as this page knows it. A unit that is put into it stays there when it is on a robot again:
 * what is known of it is never lost, whether the robot is saved or not.
 */
export function useStock(teamId: string, loaded: readonly StockDeviceRecord[]) {
  const [stock, setStock] = useState(loaded);
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (entry: StockDeviceRecord): Promise<boolean> => {
    setProblem(null);
    try {
      const saved = await putRecord<StockDeviceRecord>('stock', entry);
      setStock((now) => [
        ...now.filter(({ id }) => id !== saved.id),
        ...(saved.archivedAt === null ? [saved] : []),
      ]);
      return true;
    } catch (error) {
      setProblem(sentenceOf(error));
      return false;
    }
  };
  const put = (unit: Device) => {
    const known = stock.find((entry) => entry.unit.id === unit.id);
    const entry = known ?? { id: ulid(), version: 0, teamId, archivedAt: null };
    return save({ ...entry, unit: { ...unit, port: null } });
  };
  const throwAway = (entry: StockDeviceRecord) =>
    save({ ...entry, archivedAt: new Date().toISOString() });
  return { stock, problem, put, throwAway };
}
