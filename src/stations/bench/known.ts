import type { CalibrationKind } from '../../core/calibration/calibration';
import { describeCalibration } from '../../core/calibration/registry';
import type { Freshness } from '../../core/text/freshness';
import type { ThreeSentences } from '../../core/gyro/still/stillSentence';
import { capitalised } from '../../core/text/capitalised';
import { counted } from '../../core/text/quantities';
import type { BenchTrialsRecord } from '../../formats/benchRecords';
import { usedTrials } from './trials/openedList';
import type { BenchFacts, Known } from './procedure';

export const NOTHING_KNOWN: Known = { sentence: null, freshness: null };

/** What the calibration of a kind says that holds, and how far it can be relied on; null where none does. */
export async function heldOf(
  facts: BenchFacts,
  kind: CalibrationKind,
  say: (description: string) => string = capitalised,
): Promise<Known | null> {
  const [holding, validity] = await Promise.all([facts.holding(), facts.validity()]);
  const held = holding[kind];
  return held === undefined
    ? null
    : {
        sentence: `${say(describeCalibration(held.value))}.`,
        freshness: validity[kind],
      };
}

/** Trials change nothing by themselves: what they found waits to be applied. */
const WAITS: Freshness = { text: 'not applied', state: 'ageing' };

/** What trials say that nobody has applied yet. */
export const notApplied = (study: { sentences: ThreeSentences } | null): Known =>
  study === null ? NOTHING_KNOWN : { sentence: study.sentences.found, freshness: WAITS };

/** What is known by a calibration; where none holds, the trials that wait to become one. */
export async function heldOrTrials(
  facts: BenchFacts,
  kind: CalibrationKind,
  procedure: Exclude<BenchTrialsRecord['procedure'], 'run-log'>,
  what: string,
  say?: (description: string) => string,
): Promise<Known> {
  const held = await heldOf(facts, kind, say);
  if (held !== null) return held;
  const { used } = usedTrials<{ setAsideReason: string | null }>(await facts.trials(procedure));
  return used.length === 0
    ? NOTHING_KNOWN
    : { sentence: `${counted(used.length, what)} made; nothing is applied yet.`, freshness: WAITS };
}
