import { useState } from 'react';
import { counted } from '../../../core/text/quantities';
import { gainText, SHOWN, type TunedId } from '../../../core/tuning/controllers/shown';
import type { GainJudgement } from '../../../core/tuning/judge';
import type { Followed, ReadTrace } from '../../../formats/gainTraceCsv';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { FileField } from '../../../ui/FileField';
import { Notice } from '../../../ui/Notice';
import { NumberField } from '../../../ui/NumberField';
import { BENCH_LENGTH, PERCENT } from '../../../ui/units';
import { sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { TraceChart } from './TraceChart';

interface Props {
  controller: TunedId;
  /** The gain with which it was recorded. */
  gain: number;
  onJudged(judged: GainJudgement): void;
}

const SIDES = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
] as const;

/** The target as it was, in the unit of the reading. */
const FIRST: Record<string, Followed> = {
  wall: { target: 0.1, side: 'left' },
  line: { target: 0.4, side: 'right' },
};

/** A trace from a file: judged at once, with what it is judged by. */
export function TraceFile({ controller, gain, onJudged }: Props) {
  const [followed, setFollowed] = useState<Followed>(
    FIRST[controller] ?? { target: 0, side: 'left' },
  );
  const [file, setFile] = useState<File | null>(null);
  const [found, setFound] = useState<ReadTrace | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const read = async (from: File | null, by: Followed) => {
    setFile(from);
    setFollowed(by);
    setFound(null);
    setProblem(null);
    if (from === null) return;
    try {
      const { readGainTrace } = await import('../../../formats/gainTraceCsv');
      setFound(await readGainTrace(from, controller, by));
    } catch (error) {
      setProblem(`${from.name}: ${sentenceOf(error)}`);
    }
  };
  return (
    <details>
      <summary>Judge a trace from a file</summary>
      <div className={styles.file}>
        {SHOWN[controller].column.keepsReading && (
          <div className={styles.fields}>
            <NumberField
              label={controller === 'wall' ? 'Distance to keep' : 'Light to keep'}
              unit={controller === 'wall' ? BENCH_LENGTH : PERCENT}
              min={0}
              max={1000}
              value={followed.target}
              onChange={(target) => void read(file, { ...followed, target })}
            />
            <Choice
              label={controller === 'wall' ? 'The wall is on its' : 'The darker side is on its'}
              value={followed.side}
              options={SIDES}
              onChange={(side) => void read(file, { ...followed, side })}
            />
          </div>
        )}
        <FileField
          label="Trace (CSV)"
          accept=".csv,.txt,text/csv,text/plain"
          onFile={(one) => void read(one, followed)}
        />
        <small className="faint">
          A heading line with t_s, {SHOWN[controller].column.name}, correction_deg_per_s.
        </small>
        {problem !== null && <Notice tone="fault">{problem}</Notice>}
        {found !== null && (
          <>
            {found.bad.length > 0 && (
              <Notice tone="careful">
                {counted(found.bad.length, 'line')} left out: line {found.bad[0]?.line},{' '}
                {found.bad[0]?.why}
              </Notice>
            )}
            <TraceChart
              controller={controller}
              title="As it was recorded"
              trace={found.trace}
              judged={found.judged}
              tone="measured"
            />
            {found.judged !== null && (
              <div className={styles.actions}>
                <Button
                  look="strong"
                  onClick={() => {
                    if (found.judged !== null) onJudged(found.judged);
                    setFound(null);
                  }}
                >
                  Note it for {gainText(controller, gain)}
                </Button>
              </div>
            )}
          </>
        )}
      </div>
    </details>
  );
}
