import type { BenchTrialsRecord } from '../../formats/benchRecords';
import type { TeamDatabase } from '../database';
import type { CalibrationValue } from '../../core/calibration/calibration';
import { saveTrials } from '../stores/benchTrials';
import { applyCalibration } from '../stores/calibrations';
import { demoId } from './ids';

/** Under what most of the Bench was measured. */
export const CONDITIONS = { surface: 'table mat', battery: 'B1', who: 'Juniper', readToM: null };

export const NOT_ASIDE = { setAsideReason: null };

/** Read off a tape in millimetres, off a protractor in half degrees. */
export const toMillimetre = (metres: number): number => Math.round(metres * 1000) / 1000;
export const toHalfDegree = (radians: number): number =>
  (Math.round((radians * 360) / Math.PI) * Math.PI) / 360;

type ListOf<P extends BenchTrialsRecord['procedure']> = Extract<
  BenchTrialsRecord,
  { procedure: P }
>;

/** A list of trials of the demo, as it was begun on a day. */
export async function loadList<P extends BenchTrialsRecord['procedure']>(
  db: TeamDatabase,
  robotId: string,
  number: number,
  startedAt: string,
  list: Pick<ListOf<P>, 'procedure' | 'conditions' | 'trials'>,
): Promise<string> {
  const id = demoId('J', number);
  const record = { ...list, id, version: 0, robotId, archivedAt: null } as BenchTrialsRecord;
  await saveTrials(db, record);
  await db.models.benchTrials.update({ startedAt }, { where: { id } });
  return id;
}

interface Applied {
  value: CalibrationValue | null | undefined;
  /** Null: it was no list of trials. */
  trialsId: string | null;
  raw: readonly unknown[];
  reason: string;
  who: string;
  /** The day on which it was measured, and the moment from which it holds. */
  madeAt: string;
  changedAt: string;
  unitId?: string;
}

/** What a list of trials showed, as it was applied. */
export async function loadApplied(
  db: TeamDatabase,
  robotId: string,
  number: number,
  { value, trialsId, raw, reason, who, madeAt, changedAt, unitId: unit }: Applied,
): Promise<void> {
  if (value === null || value === undefined) throw new Error(`The demo finds no ${reason}.`);
  const [calibrationId, changeId] = [demoId('Y', number), demoId('Z', number)];
  const unitId = unit ?? null;
  const { surface, battery } = CONDITIONS;
  const evidence = { trialsId, stillCheckId: null, raw: [...raw] };
  await applyCalibration(db, {
    calibration: { id: calibrationId, robotId, unitId, value, evidence, surface, battery },
    change: {
      id: changeId,
      robotId,
      unitId,
      kind: value.kind,
      calibrationId,
      reason,
      who,
      checked: false,
    },
  });
  await db.models.calibration.update({ madeAt }, { where: { id: calibrationId } });
  await db.models.calibrationChange.update({ changedAt }, { where: { id: changeId } });
}
