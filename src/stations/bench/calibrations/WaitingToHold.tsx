import { useState } from 'react';
import { ulid } from 'ulid';
import { describeCalibration, kindOfCalibration } from '../../../core/calibration/registry';
import { counted } from '../../../core/text/quantities';
import type { SavedCalibration, SavedCalibrationChange } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { dayOf } from '../../../ui/dates';
import { Notice } from '../../../ui/Notice';
import { sentenceOf } from '../../api';
import { WhyAndWho } from '../apply/WhyAndWho';
import { letHold, type ApplyIds } from '../apply/letHold';
import styles from '../Bench.module.css';
import type { Waiting } from '../waiting';

interface Props {
  robot: RobotRecord;
  waiting: readonly Waiting[];
  /** What holds now of the same kind, in words. */
  holds(waiting: Waiting): string | null;
  onApplied(calibration: SavedCalibration, change: SavedCalibrationChange): void;
}

const restsOn = ({ evidence, measuredAt }: Waiting): string =>
  evidence.stillCheckId !== null
    ? `a still check of ${dayOf(measuredAt)}`
    : `${counted(evidence.raw.length, 'trial')}, begun ${dayOf(measuredAt)}`;

/** All that was measured and is not computed with yet: looked through once, and applied at one press. */
export function WaitingToHold({ robot, waiting, holds, onApplied }: Props) {
  const [left, setLeft] = useState<readonly string[]>(() =>
    waiting.filter(({ isOfAnotherDay }) => isOfAnotherDay).map(({ value }) => value.kind),
  );
  const [said, setSaid] = useState({ reason: '', who: '' });
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  // Made once for each, so that pressing again after a lost answer applies it once.
  const [ids] = useState(
    () =>
      new Map<string, ApplyIds>(
        waiting.map(({ value }) => [value.kind, { calibration: ulid(), change: ulid() }]),
      ),
  );
  if (waiting.length === 0) return null;
  const chosen = waiting.filter(({ value }) => !left.includes(value.kind));
  const apply = async () => {
    setBusy(true);
    setProblem(null);
    try {
      // One after the other: each stands in the journal, and what was applied before a fault stays so.
      for (const one of chosen) {
        const own = ids.get(one.value.kind);
        if (own === undefined) continue;
        const { calibration, change } = await letHold(robot, one, own, said);
        onApplied(calibration, change);
      }
    } catch (error) {
      setProblem(sentenceOf(error));
    }
    setBusy(false);
  };
  return (
    <section aria-label="Measured, not applied" className={styles.do}>
      <h2>Measured, not applied</h2>
      <ul className={styles.waiting}>
        {waiting.map((one) => {
          const { kind } = one.value;
          const now = holds(one);
          return (
            <li key={kind}>
              <label>
                <input
                  type="checkbox"
                  checked={!left.includes(kind)}
                  onChange={({ target }) =>
                    setLeft(target.checked ? left.filter((name) => name !== kind) : [...left, kind])
                  }
                />{' '}
                <strong>{kindOfCalibration(kind).name}</strong>: {describeCalibration(one.value)}
              </label>
              <small className="faint">
                {now === null ? 'nothing holds yet' : `in place of ${now}`}; {restsOn(one)}.{' '}
                {one.isOfAnotherDay &&
                  'The sensor was started anew since, most likely: a new check takes a minute. '}
                <a href={`/bench/${one.procedure}?robot=${robot.id}`}>Look at it</a>
              </small>
            </li>
          );
        })}
      </ul>
      <div className={styles.fields}>
        <WhyAndWho {...said} onChange={(part) => setSaid({ ...said, ...part })} />
      </div>
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <div className={styles.actions}>
        <Button look="strong" disabled={busy || chosen.length === 0} onClick={() => void apply()}>
          Apply {counted(chosen.length, 'measurement')}
        </Button>
      </div>
    </section>
  );
}
