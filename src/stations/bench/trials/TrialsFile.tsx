import { useState } from 'react';
import { ulid } from 'ulid';
import { counted } from '../../../core/text/quantities';
import type { Fields } from '../../../core/description/description';
import { columnsSentence } from '../../../core/trials/columns';
import type { TrialKind, TrialOf } from '../../../core/trials/kind';
import type { ReadRecords } from '../../../formats/csv/trialFile';
import { Button } from '../../../ui/Button';
import { FileField } from '../../../ui/fields/FileField';
import { Notice } from '../../../ui/Notice';
import { sentenceOf } from '../../api';
import styles from '../Bench.module.css';

interface Props<F extends Fields, N extends string, T> {
  /** What the file holds: "Turn trials (CSV)". */
  label: string;
  /** What each of its lines says. */
  kind: TrialKind<F, N>;
  /** Where its lines are not yet what is kept. */
  read?: (file: File, newId: () => string) => Promise<ReadRecords<T>>;
  onTake(records: T[]): void;
}

/** Trials from a file: first what will be taken, each bad line with its reason, then taking it. */
export function TrialsFile<F extends Fields, N extends string, T = TrialOf<TrialKind<F, N>>>({
  label,
  kind,
  read = async (file, newId) =>
    (await import('../../../formats/csv/trialFile')).readTrials<F, N, T>(kind, file, newId),
  onTake,
}: Props<F, N, T>) {
  const { what } = kind;
  const [found, setFound] = useState<ReadRecords<T> | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const open = async (file: File) => {
    setFound(null);
    setProblem(null);
    try {
      setFound(await read(file, ulid));
    } catch (error) {
      setProblem(`${file.name}: ${sentenceOf(error)}`);
    }
  };
  return (
    <details className="no-print">
      <summary>From a file</summary>
      <div className={styles.file}>
        <FileField
          label={label}
          accept=".csv,.txt,text/csv,text/plain"
          onFile={(file) => void open(file)}
        />
        <small className="faint">
          A heading line with {columnsSentence(kind)}; one {what} a line.
        </small>
        {problem !== null && <Notice tone="fault">{problem}</Notice>}
        {found !== null && (
          <Notice
            tone={found.bad.length > 0 ? 'careful' : 'plain'}
            action={
              <Button
                look="strong"
                onClick={() => {
                  onTake(found.records);
                  setFound(null);
                }}
              >
                Take {counted(found.records.length, what)}
              </Button>
            }
          >
            {found.bad.length === 0 ? (
              `All lines can be read.`
            ) : (
              <ul className={styles.badLines}>
                {found.bad.slice(0, 6).map(({ line, why }) => (
                  <li key={line}>
                    line {line}: {why}
                  </li>
                ))}
                {found.bad.length > 6 && <li>and {found.bad.length - 6} more</li>}
              </ul>
            )}
          </Notice>
        )}
      </div>
    </details>
  );
}
