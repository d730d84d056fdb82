import { calibrationOf } from '../../../core/calibration/find';
import { TURN_ROW } from '../../../core/trials/turn';
import { CARE_AT_THE_BENCH } from '../../../core/course/care';
import { useMemo, useState, type ReactNode } from 'react';
import type { Robot } from '../../../core/robot/robot';
import type { Doubt } from '../../../core/sources/source';
import { eyeAdvices } from '../../../core/turns/byEye';
import type { TurnStudy } from '../../../core/turns/turnStudy';
import { notAside } from '../trials/openedList';
import type {
  SavedCalibration,
  TrialListEntry,
  TurnTrialRecord,
  TurnTrials,
} from '../../../formats/benchRecords';
import type { RobotRoute } from '../../../formats/robotRoute';
import { Button } from '../../../ui/Button';
import { fetchedLater } from '../../../ui/fetchedLater';
import { RouteChanges } from '../apply/later';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';
import { TrialsFile } from '../trials/TrialsFile';
import { TrialsShell } from '../trials/TrialsShell';
import { useTrials } from '../trials/useTrials';
import { CommandTable } from './CommandTable';
import { Conditions } from './Conditions';
import { ConfirmTurns } from '../../afterApplying/later';
import { PlanTable } from './PlanTable';
import { TrialQuestion } from './TrialQuestion';
import { ZeroOrCount } from './ZeroOrCount';
import { TrialTable } from './TrialTable';
import { TurnChart } from './TurnChart';
import { measuredTurns, studied, turnsValue } from './studied';
import { FIRST_SETTING, TurnEntry, type TurnSetting } from './TurnEntry';

/** With the simulator's own figures: fetched when somebody opens it. */
const HeadingsOnRoute = fetchedLater(
  async () => (await import('./HeadingsOnRoute')).HeadingsOnRoute,
);

/** Fetched when somebody wants it. */
const TurnsFromLog = fetchedLater(async () => (await import('./TurnsFromLog')).TurnsFromLog);

interface Props extends BenchProps {
  /** The list that is worked on: the newest, or a new one that is kept with its first trial. */
  trials: TurnTrials;
  /** The robot as it was measured: how its programs count, how fast it drives at which power. */
  fitted: Robot;
  /** And how well it is known. */
  doubts: Doubt[];
  /** All lists of turn trials of this robot. */
  lists: TrialListEntry[];
  routes: RobotRoute[];
  /** Those of them that turn, by their ids. */
  turning: string[];
}

const REASONS = [
  'A wheel slipped',
  'Somebody touched the robot',
  'Read off wrongly',
  'Typed by mistake',
];

const STEPS = [
  'Lay a straight edge along the robot, and tell it to turn.',
  'When it stands, lay the edge along it again and read the angle between the two.',
  'Type what it truly turned. The plan says which turns to make, and how often.',
  CARE_AT_THE_BENCH,
];

const settingOf = ({ targetRad, rateRadPerS, kind }: TurnTrialRecord): TurnSetting => ({
  targetRad: Math.abs(targetRad),
  direction: targetRad < 0 ? 'right' : 'left',
  rateRadPerS,
  kind,
});

function Why({ study, children }: { study: TurnStudy; children: ReactNode }) {
  return (
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
      {study.model.groups[0] !== undefined && (
        <ZeroOrCount model={study.model.groups[0].model}>{children}</ZeroOrCount>
      )}
    </>
  );
}

/** Turn trials: how far do turns go too far, why, and what to tell the program instead? */
export default function Station(props: Props) {
  const { robot, trials: loaded, lists, routes, turning, fitted, doubts } = props;
  const told = useMemo(() => ({ ...robot.robot, program: fitted.program }), [robot, fitted]);
  const kept = useTrials(loaded);
  const { record, setConditions, add, replace } = kept;
  const [setting, setSetting] = useState<TurnSetting>(FIRST_SETTING);
  const [applied, setApplied] = useState<SavedCalibration | null>(null);
  const turns = calibrationOf(applied === null ? [] : [applied.value], 'turns');
  const [logWanted, setLogWanted] = useState(false);
  const { study, stood, asked } = useMemo(
    () => studied(record.trials, record.conditions),
    [record.trials, record.conditions],
  );
  const byEye = useMemo(() => eyeAdvices(notAside(record.trials)), [record.trials]);
  const next = study?.advice.next ?? null;
  const value = turnsValue(study);
  return (
    <TrialsShell<TurnTrials>
      {...{ robot, kept, lists }}
      what="trial"
      reasons={REASONS}
      caution="A turn that went wrong by itself is no reason."
      sentences={study?.sentences ?? null}
      opening="Tell the robot to turn, measure how far it truly turned, and Corvat says what to tell it instead."
      questions={(ask) => (
        <>
          {byEye.map(({ direction, advice }) => (
            <p key={`${direction} ${advice.wantedRad}`} data-testid="by-eye">
              To the {direction}. {advice.sentence}{' '}
              {!advice.isFound && (
                <Button
                  look="bare"
                  onClick={() => setSetting({ ...setting, direction, targetRad: advice.tellRad })}
                >
                  Set that up
                </Button>
              )}
            </p>
          ))}
          {stood.map((sentence) => (
            <p key={sentence} data-testid="stood">
              {sentence}
            </p>
          ))}
          {asked.map(({ trial, no, text }) => (
            <TrialQuestion key={trial.id} {...{ no, text }} onSetAside={() => ask(trial)} />
          ))}
        </>
      )}
      see={study !== null && <TurnChart study={study} />}
      steps={STEPS}
      doing={
        <>
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
            robot={told}
            setting={setting}
            onSetting={setSetting}
            onTrial={add}
            tried={record.trials.map(({ targetRad }) => Math.abs(targetRad))}
          />
          <TrialsFile
            label="Turn trials (CSV)"
            kind={TURN_ROW}
            read={async (file, newId) =>
              (await import('../../../formats/csv/turnsCsv')).readTurnTrials(file, newId, told)
            }
            onTake={(trials) => add(...trials)}
          />
          <details onToggle={() => setLogWanted(true)}>
            <summary>From the robot’s own log</summary>
            {logWanted && (
              <TurnsFromLog robot={robot} setting={setting} record={record} onTake={add} />
            )}
          </details>
          <Conditions conditions={record.conditions} onChange={setConditions} />
        </>
      }
      know={
        study !== null &&
        value !== null && (
          <Why study={study}>
            <HeadingsOnRoute
              {...{ fitted, doubts }}
              routes={routes.filter(({ routeId }) => turning.includes(routeId))}
              turns={value}
            />
          </Why>
        )
      }
      table={(ask) => (
        <TrialTable
          trials={record.trials}
          onRepeat={(trial) => setSetting(settingOf(trial))}
          onSetAside={ask}
          onTakeBack={(trial) => replace({ ...trial, setAsideReason: null })}
        />
      )}
      apply={{
        value,
        evidence: measuredTurns(record.trials),
        label: 'Apply these commands…',
        applied: 'These commands hold from now on.',
        consequences: () =>
          value !== null && <RouteChanges turns={value} robot={robot} routes={routes} />,
        onApplied: setApplied,
      }}
      confirm={(tell) =>
        applied !== null &&
        turns !== null && <ConfirmTurns calibration={applied} turns={turns} onTold={tell} />
      }
    />
  );
}
