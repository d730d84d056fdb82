import { useState } from 'react';
import { ulid } from 'ulid';
import type { TypedProgramRecord } from '../../../formats/typedProgram';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { putRecord, sentenceOf } from '../../api';

interface Props {
  program: Omit<TypedProgramRecord, 'id' | 'typedAt'>;
  robotName: string;
}

/** One press says that the robot carries this sheet from now on. */
export function TypedIn({ program, robotName }: Props) {
  const [isSaved, setSaved] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [id] = useState(ulid);
  const save = async () => {
    try {
      const record: TypedProgramRecord = { ...program, id, typedAt: new Date().toISOString() };
      await putRecord('typed-programs', record);
      setProblem(null);
      setSaved(true);
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  return (
    <div className="no-print">
      {isSaved ? (
        <p role="status">{robotName} carries this from now on.</p>
      ) : (
        <Button look="strong" onClick={() => void save()}>
          Typed in now
        </Button>
      )}
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
    </div>
  );
}
