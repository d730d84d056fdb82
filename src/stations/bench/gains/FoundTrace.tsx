import type { TunedId } from '../../../core/robot/tunedIds';
import { gainText } from '../../../core/control/tuned';
import type { GainJudgement } from '../../../core/tuning/judge';
import type { JudgedTrace } from '../../../core/tuning/logTrace';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import styles from '../Bench.module.css';
import { TraceChart } from './TraceChart';

interface Props {
  controller: TunedId;
  /** The gain with which it was recorded. */
  gain: number;
  found: JudgedTrace;
  onNote(judged: GainJudgement): void;
}

/** A recorded trace with what it is judged by, to be noted for the gain in the program. */
export const FoundTrace = ({ controller, gain, found: { trace, judged }, onNote }: Props) => (
  <>
    <TraceChart
      controller={controller}
      title="As it was recorded"
      trace={trace}
      judged={judged}
      tone="measured"
    />
    {judged === null ? (
      <Notice tone="careful">
        It is too short to tell: record from before the push until two seconds after the robot is
        back.
      </Notice>
    ) : (
      <div className={styles.actions}>
        <Button look="strong" onClick={() => onNote(judged)}>
          Note it for {gainText(controller, gain)}
        </Button>
      </div>
    )}
  </>
);
