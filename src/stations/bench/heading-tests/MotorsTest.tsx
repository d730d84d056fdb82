import { useState } from 'react';
import { motorsDisturb, type TwoReadings } from '../../../core/gyro/headingTests';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { TYPED } from '../../../core/gyro/still/description';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import type { useReadingNow } from '../logs/useReadingNow';
import own from './HeadingTests.module.css';
import { STANDING_STRETCH } from '../../../core/trials/headingTest';
import { TrialsFile } from '../trials/TrialsFile';
import { Angle, Test, type Read } from './parts';

interface Props {
  now: ReturnType<typeof useReadingNow>;
  before: string | null;
  onFound(found: ReturnType<typeof motorsDisturb>['found'], raw: readonly TwoReadings[]): void;
}

interface Pair {
  from: Read | null;
  until: Read | null;
}
const NOTHING: Pair = { from: null, until: null };
const USUAL_S = 15;
const LEAST_S = 2;

/** Both readings of a pair; their own time apart where a log told it, else what was typed. */
function readingsOf({ from, until }: Pair, typedS: number): TwoReadings | null {
  if (from === null || until === null) return null;
  const loggedS = from.tS === null || until.tS === null ? typedS : until.tS - from.tS;
  if (loggedS < LEAST_S) return null;
  return { fromRad: from.rad, untilRad: until.rad, durationS: loggedS };
}

/** Whether running motors disturb the heading. */
export function MotorsTest({ now, before, onFound }: Props) {
  const [resting, setResting] = useState(NOTHING);
  const [running, setRunning] = useState(NOTHING);
  const [durationS, setDuration] = useState(USUAL_S);
  const [stepRad, setStep] = useState(radiansFromDegrees(1));
  const judged = (rest: Pair, run: Pair, typedS: number, step: number) => {
    const [off, on] = [readingsOf(rest, typedS), readingsOf(run, typedS)];
    return off === null || on === null ? null : { ...motorsDisturb(off, on, step), raw: [off, on] };
  };
  const told = (next: ReturnType<typeof judged>) => {
    if (next !== null) onFound(next.found, next.raw);
  };
  const result = judged(resting, running, durationS, stepRad);
  return (
    <Test
      title="Do running motors disturb it?"
      how="Put the robot on a block, its wheels in the air. Read the heading twice with the motors off; then twice while they run."
      result={result && { sentence: result.sentence, isTold: true }}
      before={before}
    >
      <div className={styles.fields}>
        <ValueField
          field={TYPED.durationS}
          label="Between two readings"
          value={durationS}
          onChange={(next) => {
            setDuration(next);
            told(judged(resting, running, next, stepRad));
          }}
        />
        <ValueField
          field={TYPED.stepRad}
          value={stepRad}
          onChange={(next) => {
            setStep(next);
            told(judged(resting, running, durationS, next));
          }}
        />
      </div>
      {[
        { words: 'Motors off', pair: resting, set: setResting, isOff: true },
        { words: 'Motors running', pair: running, set: setRunning, isOff: false },
      ].map(({ words, pair, set, isOff }) => {
        const change = (next: Pair) => {
          set(next);
          told(
            isOff
              ? judged(next, running, durationS, stepRad)
              : judged(resting, next, durationS, stepRad),
          );
        };
        return (
          <div key={words} className={own.pair} role="group" aria-label={words}>
            <Angle
              label={`${words}, first`}
              value={pair.from}
              now={now}
              onChange={(from) => change({ ...pair, from })}
            />
            <Angle
              label={`${words}, then`}
              value={pair.until}
              now={now}
              onChange={(until) => change({ ...pair, until })}
            />
          </div>
        );
      })}
      <TrialsFile
        label="Standing with motors off and running (CSV)"
        kind={STANDING_STRETCH}
        onTake={(taken) => {
          const pairOf = (motors: 'off' | 'running') => {
            const one = taken.findLast((each) => each.motors === motors);
            // As of a log: each reading has its time.
            return one === undefined
              ? NOTHING
              : {
                  from: { rad: one.fromRad, tS: 0 },
                  until: { rad: one.untilRad, tS: one.durationS },
                };
          };
          const [off, on] = [pairOf('off'), pairOf('running')];
          setResting(off);
          setRunning(on);
          told(judged(off, on, durationS, stepRad));
        }}
      />
    </Test>
  );
}
