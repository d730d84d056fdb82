import { useState } from 'react';
import { zeroedByStart } from '../../../core/gyro/headingTests';
import type { useReadingNow } from '../logs/useReadingNow';
import { PROGRAM_START } from '../../../core/trials/headingTest';
import { TrialsFile } from '../trials/TrialsFile';
import { Angle, Test, typedRead, type Read } from './parts';

interface Props {
  now: ReturnType<typeof useReadingNow>;
  before: string | null;
  onFound(found: ReturnType<typeof zeroedByStart>['found'], raw: readonly Read[]): void;
}

/** Whether starting a program zeroes the heading. */
export function StartTest({ now, before, onFound }: Props) {
  const [first, setFirst] = useState<Read | null>(null);
  const [second, setSecond] = useState<Read | null>(null);
  const change = (one: Read | null, other: Read | null) => {
    setFirst(one);
    setSecond(other);
    if (one !== null && other !== null)
      onFound(zeroedByStart(one.rad, other.rad).found, [one, other]);
  };
  const result = first === null || second === null ? null : zeroedByStart(first.rad, second.rad);
  return (
    <Test
      title="Does a start zero it?"
      how="Turn the robot by hand until the heading reads about 40°. Start a program that does nothing but show it."
      result={result && { sentence: result.sentence, isTold: result.found !== null }}
      before={before}
    >
      <Angle
        label="Before the start"
        value={first}
        now={now}
        onChange={(read) => change(read, second)}
      />
      <Angle
        label="Just after it"
        value={second}
        now={now}
        onChange={(read) => change(first, read)}
      />
      <TrialsFile
        label="Before and after a start (CSV)"
        kind={PROGRAM_START}
        onTake={(taken) => {
          const newest = taken.at(-1);
          if (newest !== undefined) change(typedRead(newest.beforeRad), typedRead(newest.afterRad));
        }}
      />
    </Test>
  );
}
