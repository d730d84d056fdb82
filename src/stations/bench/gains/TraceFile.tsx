import { useState } from 'react';
import { counted } from '../../../core/text/quantities';
import type { TunedId } from '../../../core/robot/tunedIds';
import { SHOWN } from '../../../core/control/tuned';
import type { GainJudgement } from '../../../core/tuning/judge';
import type { Followed, ReadTrace } from '../../../formats/csv/gainTraceCsv';
import { FileField } from '../../../ui/fields/FileField';
import { Notice } from '../../../ui/Notice';
import { sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { FollowedFields } from './FollowedFields';
import { FoundTrace } from './FoundTrace';

interface Props {
  controller: TunedId;
  /** The gain with which it was recorded. */
  gain: number;
  followed: Followed;
  onFollowed(followed: Followed): void;
  onJudged(judged: GainJudgement): void;
}

/** A trace from a table of errors and corrections: judged at once, with what it is judged by. */
export function TraceFile({ controller, gain, followed, onFollowed, onJudged }: Props) {
  const [file, setFile] = useState<File | null>(null);
  const [found, setFound] = useState<ReadTrace | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const read = async (from: File | null, by: Followed) => {
    setFile(from);
    setFound(null);
    setProblem(null);
    if (from === null) return;
    try {
      const { readGainTrace } = await import('../../../formats/csv/gainTraceCsv');
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
          <FollowedFields
            {...{ controller, followed }}
            onChange={(by) => {
              onFollowed(by);
              void read(file, by);
            }}
          />
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
            <FoundTrace
              {...{ controller, gain, found }}
              onNote={(judged) => {
                onJudged(judged);
                setFound(null);
              }}
            />
          </>
        )}
      </div>
    </details>
  );
}
