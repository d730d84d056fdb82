import type { CalibrationKind } from '../../core/calibration/calibration';
import { describeCalibration } from '../../core/calibration/registry';
import { knowledgeAge } from '../../core/freshness';
import type { ThreeSentences } from '../../core/gyro/stillSentence';
import type { BenchFacts, Known } from './procedure';

export const NOTHING_KNOWN: Known = { sentence: null, freshness: null };

const capitalised = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

/** What the calibration of a kind says that holds, and how far it can be relied on; null where none does. */
export async function heldOf(facts: BenchFacts, kind: CalibrationKind): Promise<Known | null> {
  const [holding, validity] = await Promise.all([facts.holding(), facts.validity()]);
  const held = holding[kind];
  return held === undefined
    ? null
    : {
        sentence: `${capitalised(describeCalibration(held.value))}.`,
        freshness: validity[kind],
      };
}

/** What trials say that nobody has applied yet. */
export const notApplied = (
  study: { sentences: ThreeSentences } | null,
  begunAt: Date | null,
  facts: BenchFacts,
): Known =>
  study === null
    ? NOTHING_KNOWN
    : {
        sentence: study.sentences.found,
        freshness: knowledgeAge(begunAt, facts.now, 'not measured'),
      };
