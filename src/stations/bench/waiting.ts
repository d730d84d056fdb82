import { DRIFT_HOLDS_MS } from '../../core/gyro/creepFirst';
import type { CalibrationKind, CalibrationValue } from '../../core/calibration/calibration';
import type {
  BenchTrialsRecord,
  CalibrationRecord,
  SavedCalibration,
} from '../../formats/benchRecords';
import type { BenchFacts, Procedure } from './procedure';

/** What was measured and could be computed with. */
export interface Found {
  value: CalibrationValue;
  evidence: CalibrationRecord['evidence'];
  surface: string | null;
  battery: string | null;
  measuredAt: string;
}

/** What was measured and nobody has applied yet. */
export interface Waiting extends Found {
  /** The procedure that measured it. */
  procedure: string;
  title: string;
  /** A drift, of another power-up most likely: it is only applied by whoever wants it. */
  isOfAnotherDay: boolean;
}

type TrialsProcedure = BenchTrialsRecord['procedure'];
type OpenList<P extends TrialsProcedure> = Extract<BenchTrialsRecord, { procedure: P }>;

/**
 * What the list that is open would leave to be computed with.
 *
 * @param find the value, and the trials that it rests on
 * @returns null where there is no list, or it does not tell yet
 */
export async function foundInList<P extends TrialsProcedure>(
  facts: BenchFacts,
  procedure: P,
  find: (list: OpenList<P>) => { value: CalibrationValue | null; raw: readonly unknown[] },
): Promise<Found | null> {
  const { lists, open } = await facts.trials(procedure);
  if (open === null) return null;
  const { value, raw } = find(open);
  if (value === null) return null;
  const said: { surface?: string; battery?: string } = open.conditions;
  return {
    value,
    evidence: { trialsId: open.id, stillCheckId: null, raw: [...raw] },
    surface: said.surface || null,
    battery: said.battery || null,
    measuredAt: lists.find(({ id }) => id === open.id)?.startedAt ?? '',
  };
}

const idOf = (trial: unknown): unknown =>
  typeof trial === 'object' && trial !== null && 'id' in trial ? trial.id : trial;

const sameTrials = (a: readonly unknown[], b: readonly unknown[]): boolean => {
  const known = new Set(b.map(idOf));
  return a.length === b.length && a.every((trial) => known.has(idOf(trial)));
};

/** Whether it is computed with already, or something newer is. */
export function isApplied(
  { evidence, measuredAt }: Found,
  held: Pick<SavedCalibration, 'evidence' | 'madeAt'> | undefined,
): boolean {
  if (held === undefined) return false;
  const isSame =
    evidence.trialsId === held.evidence.trialsId &&
    evidence.stillCheckId === held.evidence.stillCheckId;
  return isSame ? sameTrials(evidence.raw, held.evidence.raw) : held.madeAt > measuredAt;
}

/** All that was measured of a robot and is not computed with. */
export async function waitingOf(
  facts: BenchFacts,
  procedures: readonly Procedure[],
): Promise<Waiting[]> {
  const holding: Partial<Record<CalibrationKind, SavedCalibration>> = await facts.holding();
  const found = await Promise.all(
    procedures.map(async ({ id, title, found: find }) => {
      const one = (await find?.(facts)) ?? null;
      if (one === null) return null;
      const isOfAnotherDay =
        one.evidence.stillCheckId !== null &&
        facts.now.getTime() - Date.parse(one.measuredAt) > DRIFT_HOLDS_MS;
      return { ...one, procedure: id, title, isOfAnotherDay };
    }),
  );
  return found.flatMap((one) =>
    one === null || isApplied(one, holding[one.value.kind]) ? [] : one,
  );
}

/** A procedure that measured something which is not applied. */
export type WaitingFor = Pick<Waiting, 'procedure' | 'title'>;

/** What could be applied as it is, for those who only point at it. */
export const waitingNow = (waiting: readonly Waiting[]): WaitingFor[] =>
  waiting
    .filter(({ isOfAnotherDay }) => !isOfAnotherDay)
    .map(({ procedure, title }) => ({ procedure, title }));
