import { lazy, Suspense, useMemo, useState } from 'react';
import { calibrationFromTurns } from '../../../core/calibration/fromTurns';
import { estimateByEye } from '../../../core/turns/byEye';
import { hardlyTurns } from '../../../core/turns/errorModel';
import { studyTurns } from '../../../core/turns/turnStudy';
import type {
  SavedCalibration,
  TrialListEntry,
  TurnTrialRecord,
  TurnTrials,
} from '../../../formats/benchRecords';
import type { RobotRoute } from '../../../formats/robotRoute';
import { Button } from '../../../ui/Button';
import { Toast } from '../../../ui/Notice';
import { useToast } from '../../../ui/useToast';
import { SetAsideDialog } from '../../SetAsideDialog';
import { ApplyDialog } from '../apply/ApplyDialog';
import { RouteChanges } from '../apply/RouteChanges';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { KeepingLine } from '../KeepingLine';
import { TrialsFile } from '../TrialsFile';
import { ArchiveLine } from '../../ArchiveLine';
import { TrialLists } from '../TrialLists';
import { useTrials } from '../useTrials';
import { CommandTable } from './CommandTable';
import { Conditions } from './Conditions';
import { ConfirmTurns } from './ConfirmTurns';
import { PlanTable } from './PlanTable';
import { TrialQuestion } from './TrialQuestion';
import { TrialTable } from './TrialTable';
import { TurnChart } from './TurnChart';
import { FIRST_SETTING, TurnEntry, type TurnSetting } from './TurnEntry';

/** Fetched when somebody wants it. */
const TurnsFromLog = lazy(async () => ({
  default: (await import('./TurnsFromLog')).TurnsFromLog,
}));

interface Props extends BenchProps {
  /** The list that is worked on: the newest, or a new one that is kept with its first trial. */
  trials: TurnTrials;
  /** All lists of turn trials of this robot. */
  lists: TrialListEntry[];
  routes: RobotRoute[];
}

const REASONS = [
  'A wheel slipped',
  'Somebody touched the robot',
  'Read off wrongly',
  'Typed by mistake',
];

/** Turn trials: how far do turns go too far, why, and what to tell the program instead? */
export default function Station({ robot, trials: loaded, lists, routes }: Props) {
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace, keep, keeping, problem } = kept;
  const [setting, setSetting] = useState<TurnSetting>(FIRST_SETTING);
  const [aside, setAside] = useState<TurnTrialRecord | null>(null);
  const [applying, setApplying] = useState(false);
  const [applied, setApplied] = useState<SavedCalibration | null>(null);
  const [logWanted, setLogWanted] = useState(false);
  const [toast, tell] = useToast();

  const used = record.trials.filter(({ setAsideReason }) => setAsideReason === null);
  const { driftRadPerS, wantedRad, readingSdRad } = record.conditions;
  const { study, asked } = useMemo(() => {
    const measured = record.trials.flatMap((trial, place) => {
      const { actualRad, durationS, setAsideReason, ...rest } = trial;
      if (actualRad === null || setAsideReason !== null) return [];
      return [
        { told: { ...rest, actualRad, ...(durationS !== null && { durationS }) }, trial, place },
      ];
    });
    if (measured.length === 0) return { study: null, asked: [] };
    const told = measured.map((one) => one.told);
    const found = studyTurns(told, driftRadPerS, wantedRad, readingSdRad);
    return {
      study: found,
      asked: found.questions.flatMap(({ index, text }) => {
        const one = measured[index];
        return one === undefined ? [] : [{ trial: one.trial, no: one.place + 1, text }];
      }),
    };
  }, [record.trials, driftRadPerS, wantedRad, readingSdRad]);
  const byEye = estimateByEye(used.flatMap(({ seen }) => seen ?? []));
  const next = study?.advice.next ?? null;
  const canApply = study?.model.groups.every(({ model }) => !hardlyTurns(model)) === true;
  const value = study === null || !canApply ? null : calibrationFromTurns(study.model);
  return (
    <>
      {study === null ? (
        <p className={styles.headline}>
          Tell the robot to turn, measure how far it truly turned, and Corvat says what to tell it
          instead.
        </p>
      ) : (
        <div className={styles.verdict} data-testid="turn-verdict">
          <p className={styles.headline}>{study.sentences.found}</p>
          <p>{study.sentences.means}</p>
          <p className={styles.next}>{study.sentences.next}</p>
        </div>
      )}
      {byEye !== null && <p data-testid="by-eye">{byEye.sentence}</p>}
      {asked.map(({ trial, no, text }) => (
        <TrialQuestion key={trial.id} {...{ no, text }} onSetAside={() => setAside(trial)} />
      ))}
      {study !== null && <TurnChart study={study} />}
      <section aria-label="Do" className={styles.do}>
        <ol className={styles.steps}>
          <li>Lay a straight edge along the robot, and tell it to turn.</li>
          <li>When it stands, lay the edge along it again and read the angle between the two.</li>
          <li>Type what it truly turned. The plan says which turns to make, and how often.</li>
        </ol>
        <p data-testid="advice">
          {study?.advice.sentence ?? 'Begin with the plan: press a circle to set that turn up.'}{' '}
          {next !== null && (
            <Button
              look="bare"
              onClick={() =>
                setSetting({
                  targetRad: Math.abs(next.targetRad),
                  direction: next.direction,
                  rateRadPerS: next.rateRadPerS,
                  kind: next.kind,
                })
              }
            >
              Set that up
            </Button>
          )}
        </p>
        <PlanTable
          {...{ record, setting }}
          isEnough={study !== null && next === null}
          onSetting={setSetting}
        />
        <TurnEntry
          robot={robot.robot}
          setting={setting}
          onSetting={setSetting}
          onTrial={add}
          tried={record.trials.map(({ targetRad }) => Math.abs(targetRad))}
        />
        <TrialsFile
          label="Turn trials (CSV)"
          what="trial"
          columns="target_deg, actual_deg (right turns negative), and rate_deg_per_s, motor_deg_per_s or power_percent"
          read={async (file, newId) =>
            (await import('../../../formats/trialsCsv')).readTurnTrials(file, newId, robot.robot)
          }
          onTake={(trials) => add(...trials)}
        />
        <details onToggle={() => setLogWanted(true)}>
          <summary>From the robot’s own log</summary>
          {logWanted && (
            <Suspense fallback={null}>
              <TurnsFromLog robot={robot} setting={setting} record={record} onTake={add} />
            </Suspense>
          )}
        </details>
        <Conditions conditions={record.conditions} onChange={setConditions} />
      </section>
      {study !== null && value !== null && (
        <>
          <ul className={styles.why}>
            {study.why.map(({ group, text, others }) => (
              <li key={group}>
                <strong>{group}:</strong> {text}
                {others !== '' && (
                  <details>
                    <summary>Other explanations</summary>
                    {others} (Akaike’s criterion for small samples: 2 is a hint, 10 is clear).
                  </details>
                )}
              </li>
            ))}
          </ul>
          <CommandTable commands={study.model.commands} />
          <div className={styles.actions}>
            <Button look="strong" onClick={() => setApplying(true)}>
              Apply these commands…
            </Button>
            <a href={`/bench/turns?robot=${robot.id}&new`}>Begin a new list</a>
            <KeepingLine keeping={keeping} problem={problem} onKeep={keep} />
          </div>
          {applied?.value.kind === 'turns' && (
            <ConfirmTurns calibration={applied} turns={applied.value} onTold={tell} />
          )}
        </>
      )}
      {record.trials.length > 0 && (
        <TrialTable
          trials={record.trials}
          onRepeat={(trial) =>
            setSetting({
              targetRad: Math.abs(trial.targetRad),
              direction: trial.targetRad < 0 ? 'right' : 'left',
              rateRadPerS: trial.rateRadPerS,
              kind: trial.kind,
            })
          }
          onSetAside={setAside}
          onTakeBack={(trial) => replace({ ...trial, setAsideReason: null })}
        />
      )}
      {applying && value !== null && (
        <ApplyDialog
          robot={robot}
          value={value}
          evidence={{ trialsId: record.id, stillCheckId: null, raw: used }}
          surface={record.conditions.surface || null}
          battery={record.conditions.battery || null}
          onApplied={(calibration) => {
            setApplying(false);
            setApplied(calibration);
            tell('These commands hold from now on.');
          }}
          onClose={() => setApplying(false)}
        >
          <RouteChanges turns={value} robot={robot} routes={routes} />
        </ApplyDialog>
      )}
      {aside !== null && (
        <SetAsideDialog
          what="this trial"
          reasons={REASONS}
          caution="A turn that went wrong by itself is no reason."
          onConfirm={(setAsideReason) => {
            replace({ ...aside, setAsideReason });
            setAside(null);
          }}
          onClose={() => setAside(null)}
        />
      )}
      {record.trials.length > 0 && (
        <ArchiveLine what="list" archivedAt={record.archivedAt} onArchive={kept.setArchived} />
      )}
      <TrialLists
        title="Lists begun before"
        what="trial"
        href={`/bench/turns?robot=${robot.id}`}
        lists={lists}
        openId={record.id}
      />
      <Toast text={toast} />
    </>
  );
}
