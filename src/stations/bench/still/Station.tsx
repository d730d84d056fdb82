import { useState } from 'react';
import { driftFromCheck, measuresDrift } from '../../../core/calibration/kinds/gyroDrift/fromStudy';
import { driftText } from '../../../core/gyro/driftText';
import { clock, degrees } from '../../../core/text/quantities';
import type { SavedStillCheck } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { putRecord, sentenceOf } from '../../api';
import { SetAsideDialog } from '../../SetAsideDialog';
import { ApplyDialog } from '../apply/later';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { SeasonChart } from './SeasonChart';
import { StillProcedure } from './StillProcedure';

interface Props extends BenchProps {
  checks: SavedStillCheck[];
}

const REASONS = ['Somebody leaned on the table', 'The wrong robot', 'The log was cut off'];

/** The still check: is the heading sensor still, and what does it do to a run if not? */
export default function Station({ robot, checks: loaded }: Props) {
  const [checks, setChecks] = useState(loaded);
  const [aside, setAside] = useState<SavedStillCheck | null>(null);
  const [toast, tell] = useToast();
  const [latest, setLatest] = useState<SavedStillCheck | null>(null);
  const [applying, setApplying] = useState(false);

  const take = (check: SavedStillCheck) =>
    setChecks((old) => [check, ...old.filter(({ id }) => id !== check.id)]);
  const setAsideNow = async (check: SavedStillCheck, setAsideReason: string) => {
    setAside(null);
    const { result: _result, ...record } = check;
    try {
      const saved = await putRecord<SavedStillCheck>('still-checks', {
        ...record,
        setAsideReason,
      } as SavedStillCheck);
      setChecks((old) => old.map((one) => (one.id === saved.id ? saved : one)));
    } catch (error) {
      tell(sentenceOf(error));
    }
  };
  return (
    <>
      <StillProcedure
        robot={robot}
        lastSettings={loaded[0]?.settings}
        known={checks}
        onBegun={() => setLatest(null)}
        intro={
          <p className={styles.headline}>
            A heading sensor can creep while the robot lies still. One minute tells how fast, and
            what that does to a run.
          </p>
        }
        onSaved={(check) => {
          take(check);
          setLatest(check);
          tell('The check is kept.');
        }}
      />
      {latest !== null && (
        <div className={styles.actions}>
          {measuresDrift(latest.result) && (
            <Button onClick={() => setApplying(true)}>Use this drift…</Button>
          )}
          {latest.result.verdict === 're-zero' && (
            <a href={`/bench/re-zero?robot=${robot.id}`}>Get rid of it, step by step</a>
          )}
        </div>
      )}
      {latest !== null && applying && (
        <ApplyDialog
          robot={robot}
          value={driftFromCheck(latest.result)}
          evidence={{ trialsId: null, stillCheckId: latest.id, raw: [] }}
          surface={null}
          battery={null}
          onApplied={() => {
            setApplying(false);
            tell('This drift is used from now on.');
          }}
          onClose={() => setApplying(false)}
        >
          <p>
            The Course foretells runs with a drift of {driftText(latest.result.driftRadPerS)} from
            now on, and as surely as this check tells it: after {clock(latest.runDurationS)} the
            heading is off by {degrees(latest.result.headingErrorAtEndRad)}. Turn trials of the next
            hours have it taken out. It holds until the sensor is started anew.
          </p>
        </ApplyDialog>
      )}
      {checks.length > 0 && <SeasonChart checks={checks} onSetAside={setAside} />}
      {aside !== null && (
        <SetAsideDialog
          what="this check"
          reasons={REASONS}
          caution="A drift that you do not like is no reason."
          onConfirm={(reason) => void setAsideNow(aside, reason)}
          onClose={() => setAside(null)}
        />
      )}
      <Toast text={toast} />
    </>
  );
}
