import { degrees } from '../../../core/text/quantities';
import { misfitAlone, misfitText } from '../../../core/turns/misfits';
import type { TurnTrialRecord } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import styles from '../Bench.module.css';

/** A trial that does not fit what it was told, before it enters the list. */
export interface Asked {
  trial: TurnTrialRecord;
  text: string;
  /** What it was rather told, a magnitude. */
  perhapsRad: number | null;
}

/** What to ask about a trial before it enters; null where nothing is odd about it. */
export function questionOf(trial: TurnTrialRecord, tried: readonly number[]): Asked | null {
  const { actualRad, targetRad } = trial;
  if (actualRad === null) return null;
  const sign = Math.sign(targetRad);
  const misfit = misfitAlone({ target: Math.abs(targetRad), actual: sign * actualRad }, tried);
  if (misfit === null) return null;
  const text = misfitText({ targetRad, actualRad }, { ...misfit, furtherRad: 0 });
  return { trial, text, perhapsRad: misfit.perhapsRad };
}

/** Asks before a slip of the hand becomes a trial. */
export function AskFirst({
  asked,
  onEnter,
  onAgain,
}: {
  asked: Asked;
  onEnter(trial: TurnTrialRecord): void;
  onAgain(): void;
}) {
  const { trial, text, perhapsRad } = asked;
  return (
    <Notice tone="careful">
      <p>{text}</p>
      <div className={styles.actions}>
        {perhapsRad !== null && (
          <Button
            look="strong"
            onClick={() =>
              onEnter({ ...trial, targetRad: Math.sign(trial.targetRad) * perhapsRad })
            }
          >
            It was told {degrees(perhapsRad, 0)}
          </Button>
        )}
        <Button onClick={() => onEnter(trial)}>It is as typed</Button>
        <Button look="bare" onClick={onAgain}>
          Measure again
        </Button>
      </div>
    </Notice>
  );
}
