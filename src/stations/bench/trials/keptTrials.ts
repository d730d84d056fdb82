import type { BenchTrialsRecord } from '../../../formats/benchRecords';
import { dropDraft, keepDraft, keptDrafts, ownKey, type Draft } from '../../drafts';

/** A list of trials as it stands on a screen, and as the server last confirmed it. */
export interface Unsent<T extends BenchTrialsRecord> {
  base: T;
  mine: T;
}

const KIND = 'trials';

type Whose = Pick<BenchTrialsRecord, 'procedure' | 'robotId'>;

const ofRobot = ({ procedure, robotId }: Whose): string => `${procedure}:${robotId}`;
const ofList = (list: BenchTrialsRecord): string => `${ofRobot(list)}:${list.id}`;

const isList = (value: unknown): value is BenchTrialsRecord =>
  typeof value === 'object' && value !== null && 'trials' in value && Array.isArray(value.trials);

function unsentOf<T extends BenchTrialsRecord>(value: unknown): Unsent<T> {
  const { base, mine } = value as Partial<Record<'base' | 'mine', unknown>>;
  if (!isList(base) || !isList(mine)) throw new TypeError('no list of trials');
  return { base: base as T, mine: mine as T };
}

/** Write a list into this browser, before anything is sent. */
export const keepUnsent = <T extends BenchTrialsRecord>(unsent: Unsent<T>): boolean =>
  keepDraft(KIND, ofList(unsent.mine), String(unsent.base.version), unsent);

/** The server has it. */
export const dropUnsent = (list: BenchTrialsRecord): void => dropDraft(ownKey(KIND, ofList(list)));

/** Lists of a robot and a procedure that this browser keeps and the server has not confirmed. */
export const keptUnsent = <T extends BenchTrialsRecord>(of: Whose): Draft<Unsent<T>>[] =>
  keptDrafts(KIND, ofRobot(of), unsentOf<T>);
