import { useState } from 'react';
import type { HeadingTestsCalibration } from '../../../core/calibrationValues/headingTests';
import { headingTestsText } from '../../../core/gyro/headingTestsText';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { Notice, Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { ApplyDialog } from '../apply/later';
import styles from '../Bench.module.css';
import { LIVE_OPTIONS } from '../logs/SourceChoice';
import { useReadingNow } from '../logs/useReadingNow';
import { useSource } from '../logs/useSource';
import type { BenchProps } from '../procedure';
import { AxisTest } from './AxisTest';
import { MotorsTest } from './MotorsTest';
import { StartTest } from './StartTest';

interface Props extends BenchProps {
  /** What was found before and holds; null: nothing. */
  held: HeadingTestsCalibration | null;
}

type Found = Omit<HeadingTestsCalibration, 'kind'>;
const NOTHING: Found = { axis: null, start: null, motors: null };

const text = (part: Partial<Found>): string =>
  headingTestsText({ kind: 'heading-tests', ...NOTHING, ...part });

/** Three tests of half a minute: which angle is the heading, whether a start zeroes it, whether motors disturb it. */
export default function Station({ robot, held }: Props) {
  const [source, setSource] = useSource('stand-in');
  const live = source === 'serial' ? 'serial' : 'stand-in';
  const now = useReadingNow(live);
  const [found, setFound] = useState<Partial<Found>>({});
  const [raw, setRaw] = useState<Partial<Record<keyof Found, readonly unknown[]>>>({});
  const [toast, tell] = useToast();
  const [applying, setApplying] = useState(false);
  const [holds, setHolds] = useState(held);
  const note = (part: Partial<Found>, seen: Partial<Record<keyof Found, readonly unknown[]>>) => {
    setFound((old) => ({ ...old, ...part }));
    setRaw((old) => ({ ...old, ...seen }));
  };
  const all = { ...NOTHING, ...holds, ...found };
  const isNew = Object.values(found).some((one) => one !== null);
  const before = (part: Partial<Found>) =>
    Object.values(part).every((one) => one === null) ? null : `Known: ${text(part)}.`;
  const value: HeadingTestsCalibration = { ...all, kind: 'heading-tests' };
  const known = headingTestsText(value);
  return (
    <>
      <p className={styles.headline} data-testid="verdict">
        {known === ''
          ? 'Three tests of half a minute each, once for every way the controller is mounted.'
          : `${known.charAt(0).toUpperCase()}${known.slice(1)}.`}
      </p>
      <div className={styles.fields}>
        <Choice label="Read from" value={live} options={LIVE_OPTIONS} onChange={setSource} />
      </div>
      {now.problem !== null && <Notice tone="fault">{now.problem}</Notice>}
      <div className={styles.tools}>
        <AxisTest
          now={now}
          before={before({ axis: holds?.axis ?? null })}
          onFound={(axis, seen) => note({ axis }, { axis: seen })}
        />
        <StartTest
          now={now}
          before={before({ start: holds?.start ?? null })}
          onFound={(start, seen) => note({ start }, { start: seen })}
        />
        <MotorsTest
          now={now}
          before={before({ motors: holds?.motors ?? null })}
          onFound={(motors, seen) => note({ motors }, { motors: seen })}
        />
      </div>
      {isNew && (
        <div className={styles.actions}>
          <Button look="strong" onClick={() => setApplying(true)}>
            Keep this with the robot…
          </Button>
        </div>
      )}
      {applying && (
        <ApplyDialog
          robot={robot}
          value={value}
          evidence={{ trialsId: null, stillCheckId: null, raw: [raw] }}
          surface={null}
          battery={null}
          onApplied={() => {
            setApplying(false);
            setHolds(value);
            setFound({});
            tell('Kept with the robot.');
          }}
          onClose={() => setApplying(false)}
        >
          <p>It is kept until the sensor is exchanged or mounted another way.</p>
        </ApplyDialog>
      )}
      <Toast text={toast} />
    </>
  );
}
