import {
  runDurationS as runDurationS_,
  toleranceRad as toleranceRad_,
} from '../../../core/description/values';
import { useState, type ReactNode } from 'react';
import { ulid } from 'ulid';
import { earlierOf } from '../../../core/gyro/still/earlierChecks';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { STILL_SETTINGS, type StillSettings } from '../../../core/gyro/still/stillDefaults';
import { rawConvention } from '../../../core/channels/rawConvention';
import { headingSensorOf } from '../../../core/devices/ofRobot';
import { number } from '../../../core/text/quantities';
import type { RezeroStrategy } from '../../../core/robot/rezeroStrategies';
import type { SavedStillCheck, StillCheckRecord } from '../../../formats/benchRecords';
import type { Reading } from '../../../formats/readings';
import type { Log } from '../../../formats/toLog';
import type { RobotRecord } from '../../../formats/records';
import type { StillAnalysis } from '../../../workers/bench.worker';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { Notice } from '../../../ui/Notice';
import { ValueField } from '../../../ui/fields/ValueField';
import { Progress } from '../../../ui/Progress';
import { putRecord, sentenceOf } from '../../api';
import { analyseStill } from '../benchWorker';
import { classes } from '../../../ui/classes';
import styles from '../Bench.module.css';
import { saveLog } from '../logs/saveLog';
import { hasSerial } from '../logs/serial';
import { useSource } from '../logs/useSource';
import { SourceChoice } from '../logs/SourceChoice';
import { logOf } from '../logs/sources';
import { useStandInIsOn } from '../standIn/useStandIn';
import { standInSeen } from '../standIn/standInStore';
import { LiveChart } from './LiveChart';
import { POWER_UP_NOT_KNOWN, PowerUpFields } from './PowerUpFields';
import { SettingsFields } from './SettingsFields';
import { StillFromFile, type StillFile } from './StillFromFile';
import own from './StillProcedure.module.css';
import { StillResult, StillVerdict } from './StillResult';
import { TypedStill } from './TypedStill';
import { useCapture } from './useCapture';

interface Props {
  robot: RobotRecord;
  /** What was done before this check, and the check before that. */
  school?: RezeroStrategy;
  beforeId?: string;
  /** What drift was allowed to use up last time. */
  lastSettings?: StillSettings | undefined;
  /** The checks that are kept: the same file counts once. */
  known: readonly SavedStillCheck[];
  /** Shown where the verdict will stand. */
  intro: ReactNode;
  onSaved(check: SavedStillCheck): void;
  /** A new reading has begun: what the last one said is no longer shown. */
  onBegun?: () => void;
}

/** Where a log comes from, and what only whoever recorded it knows. */
type KeptFrom = Omit<StillFile, 'log'>;

/** How long the stand-in had been on when these readings began. */
function standInOnBefore(readings: readonly Reading[]): number | null {
  const onForS = standInSeen().view?.onForS ?? null;
  const [first, last] = [readings[0]?.t_s, readings.at(-1)?.t_s];
  if (onForS === null || first === undefined || last === undefined) return null;
  return Math.max(0, onForS - (last - first));
}

const LENGTHS = [
  { value: '30', label: '30 s, match queue' },
  { value: '60', label: '1 min' },
  { value: '180', label: '3 min' },
] as const;

/** Do, see, know: lie still, be read, and be told how fast the heading creeps. */
export function StillProcedure({
  robot,
  school,
  beforeId,
  lastSettings = STILL_SETTINGS,
  known,
  intro,
  onSaved,
  onBegun,
}: Props) {
  const standInIsOn = useStandInIsOn();
  const [source, setSource] = useSource('stand-in');
  const [lengthS, setLength] = useState<(typeof LENGTHS)[number]['value']>('60');
  const [powerUp, setPowerUp] = useState(POWER_UP_NOT_KNOWN);
  const [runDurationS, setRunDuration] = useState(150);
  const [toleranceRad, setTolerance] = useState(radiansFromDegrees(2));
  const [settings, setSettings] = useState(lastSettings);
  const [result, setResult] = useState<StillAnalysis | null>(null);
  const [sent, setSent] = useState<number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  const unitId = headingSensorOf(robot.robot);
  const earlierThan = (takenAt: string) => earlierOf(known, { id: '', unitId, takenAt });

  const keep = async (log: Log, from: KeptFrom, displayStepRad: number | null) => {
    const { logId, name, takenAt } = from;
    setSent(0);
    const readFrom = displayStepRad === null ? source : 'typed';
    await saveLog(log, { id: logId, robotId: robot.id, name, source: readFrom, takenAt }, setSent);
    const record: StillCheckRecord = {
      id: ulid(),
      version: 0,
      robotId: robot.id,
      logId,
      unitId,
      takenAt,
      powerUp: from.powerUp,
      sincePowerUpS: from.sincePowerUpS,
      school: school ?? null,
      beforeId: beforeId ?? null,
      runDurationS,
      toleranceRad,
      settings,
      displayStepRad,
      setAsideReason: null,
    };
    onSaved(await putRecord<SavedStillCheck>('still-checks', record));
  };
  const forget = () => {
    setResult(null);
    setProblem(null);
    onBegun?.();
  };
  const judge = async (log: Log, from: KeptFrom, displayStepRad: number | null = null) => {
    forget();
    try {
      const analysis = await analyseStill(
        log,
        runDurationS,
        toleranceRad,
        settings,
        displayStepRad,
        { earlier: earlierThan(from.takenAt), sincePowerUpS: from.sincePowerUpS },
      ).result;
      setResult(analysis);
      if (analysis.check.verdict === 'not-still') return;
      // The chart is drawn before the log goes out, so that no frame waits for both.
      await new Promise((drawn) => setTimeout(drawn, 50));
      await keep(log, from, displayStepRad);
    } catch (error) {
      setProblem(sentenceOf(error));
    } finally {
      setSent(null);
    }
  };
  const onCaptured = (readings: Reading[]) => {
    try {
      void judge(logOf(readings, rawConvention(robot.robot)), {
        logId: ulid(),
        name: 'still check',
        takenAt: new Date().toISOString(),
        ...powerUp,
        ...(source === 'stand-in' && { sincePowerUpS: standInOnBefore(readings) }),
      });
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const capture = useCapture(onCaptured);
  const running = capture.state.phase !== 'idle';
  const isOff = source === 'stand-in' && standInIsOn === false;
  const live = source === 'file' ? null : source;
  return (
    <>
      {result === null ? (
        intro
      ) : (
        <StillVerdict analysis={result} {...{ runDurationS, toleranceRad, settings }} />
      )}
      {capture.state.phase === 'countdown' && (
        <div className={own.countdown} role="status">
          <strong>{Math.ceil(capture.state.leftS)}</strong>
          <span>Hands off the robot.</span>
          <Button onClick={capture.cancel}>Cancel</Button>
        </div>
      )}
      {capture.state.phase === 'capturing' && (
        <Progress
          label="Lying still, seconds"
          done={Math.floor(capture.state.doneS)}
          total={Number(lengthS)}
          onCancel={capture.cancel}
        />
      )}
      {capture.state.phase === 'capturing' ? (
        <LiveChart
          readings={capture.state.readings}
          raw={rawConvention(robot.robot)}
          earlier={earlierThan(new Date().toISOString())}
          {...{ runDurationS, toleranceRad, settings }}
        />
      ) : (
        result !== null && <StillResult analysis={result} runDurationS={runDurationS} />
      )}
      <section aria-label="Do" className={classes(styles.do, 'no-print')}>
        <ol className={styles.steps}>
          <li>Put the robot on the table where nobody bumps it.</li>
          <li>Switch it on and take your hands away.</li>
          <li>Press start, and wait for the tone at the end.</li>
        </ol>
        <div className={styles.work}>
          <div className={styles.fields}>
            <SourceChoice value={source} onChange={setSource} />
            {live !== null && (
              <Choice label="For" value={lengthS} options={LENGTHS} onChange={setLength} />
            )}
          </div>
          <div className={styles.fields}>
            {live !== null && (
              <PowerUpFields
                value={powerUp}
                onChange={(part) => setPowerUp((old) => ({ ...old, ...part }))}
                asksWhen={live === 'serial'}
              />
            )}
            <ValueField field={runDurationS_} value={runDurationS} onChange={setRunDuration} />
            <ValueField field={toleranceRad_} value={toleranceRad} onChange={setTolerance} />
          </div>
          <SettingsFields settings={settings} toleranceRad={toleranceRad} onChange={setSettings} />
          {live === null ? (
            <StillFromFile
              robotId={robot.id}
              raw={rawConvention(robot.robot)}
              known={known}
              onChosen={forget}
              onJudge={({ log, ...from }) => void judge(log, from)}
            />
          ) : (
            !running && (
              <div className={styles.actions}>
                <Button
                  look="strong"
                  disabled={isOff || (live === 'serial' && !hasSerial())}
                  onClick={() => {
                    forget();
                    void capture.start(live, Number(lengthS));
                  }}
                >
                  Start, hands off
                </Button>
                {isOff && <span className="faint">The stand-in is switched off.</span>}
              </div>
            )
          )}
          <TypedStill
            raw={rawConvention(robot.robot)}
            onJudge={({ log, ...from }, displayStepRad) => void judge(log, from, displayStepRad)}
          />
        </div>
      </section>
      {sent !== null && <p role="status">Keeping the log: {number(sent * 100)} %</p>}
      {(problem ?? capture.problem) !== null && (
        <Notice tone="fault">{problem ?? capture.problem}</Notice>
      )}
    </>
  );
}
