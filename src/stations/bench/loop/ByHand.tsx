import { COUNTED, PASSED as PASSED_VALUES } from '../../../core/loop/description';
import { useState } from 'react';
import {
  countSentences,
  passSentences,
  periodFromCount,
  periodFromPasses,
  type CountedRounds,
} from '../../../core/loop/loopByHand';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { ThreeSentences } from '../../../core/gyro/still/stillSentence';
import { Choice } from '../../../ui/fields/Choice';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

interface Props {
  rateRadPerS: number;
  counted: CountedRounds;
  onCounted(counted: CountedRounds): void;
}

function Verdict({ sentences, testId }: { sentences: ThreeSentences; testId: string }) {
  return (
    <div className={styles.verdict} data-testid={testId}>
      <p>
        <strong>{sentences.found}</strong>
      </p>
      <p>{sentences.means}</p>
      <p className={styles.next}>{sentences.next}</p>
    </div>
  );
}

/** A program that counts its rounds, and a stopwatch. */
function RoundsFold({ rateRadPerS, counted, onCounted }: Props) {
  const { rounds, durationS } = counted;
  return (
    <details>
      <summary>No log? Let the program count its rounds</summary>
      <div className={styles.fields}>
        <ValueField
          field={COUNTED.rounds}
          value={rounds}
          onChange={(next) => onCounted({ ...counted, rounds: next })}
          onClear={() => onCounted({ ...counted, rounds: null })}
        />
        <ValueField
          field={COUNTED.durationS}
          value={durationS}
          onChange={(next) => onCounted({ ...counted, durationS: next })}
        />
      </div>
      {rounds !== null && (
        <Verdict
          testId="counted-rounds"
          sentences={countSentences(periodFromCount(rounds, durationS), rateRadPerS)}
        />
      )}
    </details>
  );
}

const PASSED = [
  { value: 'degree', label: 'one whole degree (=)' },
  { value: 'line', label: 'a line on the floor' },
  { value: 'arm', label: 'a degree of an arm or wheel' },
] as const;

/** Passing what a program waits for, again and again: how often does it notice? */
function PassesFold({ rateRadPerS }: { rateRadPerS: number }) {
  const [passed, setPassed] = useState<(typeof PASSED)[number]['value']>('degree');
  const [widthM, setWidth] = useState(0.02);
  const [speedMPerS, setSpeed] = useState(0.3);
  const [passes, setPasses] = useState(10);
  const [caught, setCaught] = useState<number | null>(null);
  const [wantedRad, setWanted] = useState(radiansFromDegrees(350));
  const [armRadPerS, setArmRate] = useState(radiansFromDegrees(180));
  const WHAT = {
    degree: {
      passed: { what: 'degree' },
      over: { extent: radiansFromDegrees(1), ratePerS: rateRadPerS },
    },
    line: { passed: { what: 'line', widthM }, over: { extent: widthM, ratePerS: speedMPerS } },
    arm: {
      passed: { what: 'arm', wantedRad, ratePerS: armRadPerS },
      over: { extent: radiansFromDegrees(1), ratePerS: armRadPerS },
    },
  } as const;
  const what = WHAT[passed];
  const seen = caught === null ? null : { passes, caught: Math.min(caught, passes), ...what.over };
  const found = seen && periodFromPasses(seen);
  return (
    <details>
      <summary>By eye: how many of some passes were caught?</summary>
      <div className={styles.fields}>
        <Choice label="It waits for" value={passed} options={PASSED} onChange={setPassed} />
        {passed === 'line' && (
          <>
            <ValueField field={PASSED_VALUES.widthM} value={widthM} onChange={setWidth} />
            <ValueField field={PASSED_VALUES.speedMPerS} value={speedMPerS} onChange={setSpeed} />
          </>
        )}
        {passed === 'arm' && (
          <>
            <ValueField field={PASSED_VALUES.wantedRad} value={wantedRad} onChange={setWanted} />
            <ValueField field={PASSED_VALUES.armRadPerS} value={armRadPerS} onChange={setArmRate} />
          </>
        )}
        <ValueField field={PASSED_VALUES.passes} value={passes} onChange={setPasses} />
        <ValueField
          field={PASSED_VALUES.caught}
          atMost={passes}
          value={caught}
          onChange={setCaught}
          onClear={() => setCaught(null)}
        />
      </div>
      {found !== null && seen !== null && (
        <Verdict testId="caught-passes" sentences={passSentences(found, seen, what.passed)} />
      )}
    </details>
  );
}

/** What can be told of a loop without any log: typed from a count, or by eye. */
export const ByHand = (props: Props) => (
  <>
    <RoundsFold {...props} />
    <PassesFold rateRadPerS={props.rateRadPerS} />
  </>
);
