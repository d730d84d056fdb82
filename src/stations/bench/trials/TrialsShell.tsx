import { useState, type ReactNode } from 'react';
import type { CalibrationValue } from '../../../core/calibration/calibration';
import type { ThreeSentences } from '../../../core/gyro/still/stillSentence';
import type {
  BenchTrialsRecord,
  SavedCalibration,
  TrialListEntry,
} from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { classes } from '../../../ui/classes';
import { Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { ArchiveLine } from '../../ArchiveLine';
import { SetAsideDialog } from '../../SetAsideDialog';
import { ApplyDialog } from '../apply/later';
import styles from '../Bench.module.css';
import { ConditionsFold, type ConditionField } from './ConditionsFold';
import { KeepingLine } from '../KeepingLine';
import { Steps } from '../Steps';
import { TrialLists } from './TrialLists';
import type { useTrials } from './useTrials';

type Kept<T extends BenchTrialsRecord> = ReturnType<typeof useTrials<T>>;
type TrialOf<T extends BenchTrialsRecord> = T['trials'][number];
/** Ask why a trial is to be set aside. */
type Ask<T extends BenchTrialsRecord> = (trial: TrialOf<T>) => void;

interface Props<T extends BenchTrialsRecord> {
  robot: RobotRecord;
  kept: Kept<T>;
  lists: TrialListEntry[];
  /** One of them, as in "this lap". */
  what: string;
  reasons: readonly string[];
  /** What is no reason to set one aside. */
  caution: string;
  /** What the trials say; else what they are for. */
  sentences: ThreeSentences | null;
  opening: ReactNode;
  /** Trials that are asked about. */
  questions?: (ask: Ask<T>) => ReactNode;
  see: ReactNode;
  steps: readonly string[];
  doing: ReactNode;
  /** What is asked of the circumstances; a procedure may ask in a way of its own. */
  asks?: readonly ConditionField[];
  /** What is known in full. */
  know?: ReactNode;
  table(ask: Ask<T>): ReactNode;
  /** What is found becomes a calibration; not of every procedure. */
  apply?: {
    /** Null while there is nothing to apply. */
    value: CalibrationValue | null;
    evidence: readonly unknown[];
    /** The unit that was measured; left out: the first of its kind. */
    unitId?: string | undefined;
    label: string;
    applied: string;
    consequences(value: CalibrationValue): ReactNode;
    onApplied?(calibration: SavedCalibration): void;
  };
  /** What comes after applying. */
  confirm?(tell: (text: string) => void): ReactNode;
}

/**
 * The shape of every procedure that is a list of trials: what is known, the chart, what to do, applying it, the
 * trials themselves (none is ever deleted), and the lists begun before.
 */
export function TrialsShell<T extends BenchTrialsRecord>(props: Props<T>) {
  const { robot, kept, what, sentences, apply } = props;
  const { record, replace, keep, keeping, problem } = kept;
  const [aside, setAside] = useState<TrialOf<T> | null>(null);
  const [applying, setApplying] = useState(false);
  const [toast, tell] = useToast();
  const said = record.conditions as Partial<Record<ConditionField, string>>;
  const { surface, battery, who } = said;
  const conditions = [surface, battery, who].filter(Boolean).join(' · ');
  const address = `/bench/${record.procedure}?robot=${robot.id}`;
  const hasTrials = record.trials.length > 0;
  return (
    <>
      {sentences === null ? (
        <p className={styles.headline}>{props.opening}</p>
      ) : (
        <div className={styles.verdict} data-testid="verdict">
          <p className={styles.headline}>{sentences.found}</p>
          <p>{sentences.means}</p>
          <p className={styles.next}>{sentences.next}</p>
        </div>
      )}
      {conditions !== '' && <p className="print-only">{conditions}</p>}
      {props.questions?.(setAside)}
      {props.see}
      <section aria-label="Do" className={classes(styles.do, 'no-print')}>
        <Steps steps={props.steps} />
        {props.doing}
        {props.asks !== undefined && (
          <ConditionsFold
            asked={props.asks}
            conditions={said}
            onChange={(part) => kept.setConditions(part as Partial<T['conditions']>)}
          />
        )}
      </section>
      {props.know}
      <div className={classes(styles.actions, 'no-print')}>
        {apply !== undefined && apply.value !== null && (
          <Button look="strong" onClick={() => setApplying(true)}>
            {apply.label}
          </Button>
        )}
        {hasTrials && (
          <>
            <a href={`${address}&new`}>Begin a new list</a>
            <KeepingLine keeping={keeping} problem={problem} onKeep={keep} />
          </>
        )}
        {kept.sentLater.map((id) => (
          <p key={id} role="status">
            A list that had waited in this browser is kept now.{' '}
            <a href={`${address}&list=${id}`}>Open it</a>
          </p>
        ))}
      </div>
      {props.confirm?.(tell)}
      {hasTrials && props.table(setAside)}
      {applying && apply !== undefined && apply.value !== null && (
        <ApplyDialog
          robot={robot}
          value={apply.value}
          evidence={{
            trialsId: hasTrials ? record.id : null,
            stillCheckId: null,
            raw: [...apply.evidence],
          }}
          unitId={apply.unitId}
          surface={surface || null}
          battery={battery || null}
          onApplied={(calibration) => {
            setApplying(false);
            apply.onApplied?.(calibration);
            tell(apply.applied);
          }}
          onClose={() => setApplying(false)}
        >
          {apply.consequences(apply.value)}
        </ApplyDialog>
      )}
      {aside !== null && (
        <SetAsideDialog
          what={`this ${what}`}
          reasons={props.reasons}
          caution={props.caution}
          onConfirm={(setAsideReason) => {
            replace({ ...aside, setAsideReason });
            setAside(null);
          }}
          onClose={() => setAside(null)}
        />
      )}
      <div className="no-print">
        {hasTrials && (
          <ArchiveLine what="list" archivedAt={record.archivedAt} onArchive={kept.setArchived} />
        )}
        <TrialLists
          title="Lists begun before"
          what={what}
          href={address}
          lists={props.lists}
          openId={record.id}
        />
      </div>
      <Toast text={toast} />
    </>
  );
}
