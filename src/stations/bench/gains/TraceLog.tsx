import { turnRad as turnRad_ } from '../../../core/description/values';
import { useMemo, useState } from 'react';
import { channelLabel, channelOf } from '../../../core/channels/key';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { Robot } from '../../../core/robot/robot';
import type { TunedId } from '../../../core/robot/tunedIds';
import { SHOWN } from '../../../core/control/tuned';
import type { GainJudgement } from '../../../core/tuning/judge';
import { traceFromLog } from '../../../core/tuning/logTrace';
import { wallsEnd, wallsEndSentence } from '../../../core/walls/wallsEnd';
import type { Followed } from '../../../formats/csv/gainTraceCsv';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Notice } from '../../../ui/Notice';
import { ValueField } from '../../../ui/fields/ValueField';
import { Select } from '../../../ui/fields/Select';
import { DEG } from '../../../ui/fields/units';
import { sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { LogSource } from '../logs/LogSource';
import { ProgramButton } from '../standIn/ProgramButton';
import { useProgram } from '../standIn/useProgram';
import { FollowedFields } from './FollowedFields';
import { FoundTrace } from './FoundTrace';

interface Props {
  robot: RobotRecord;
  /** As it was measured. */
  fitted: Robot;
  controller: TunedId;
  gain: number;
  /** How far ahead of the axle the sensor sits that it follows by, m. */
  aheadM: number;
  followed: Followed;
  onFollowed(followed: Followed): void;
  onJudged(judged: GainJudgement): void;
}

const USUAL_TURN_RAD = radiansFromDegrees(45);

/** Which channels of a log a controller may have kept at a target: distances, or light. */
const KEPT: Partial<Record<TunedId, string>> = { wall: 'distanceM', line: 'light' };

/** A side sensor's, where a log names one: so a robot that follows a wall has its readings. */
const likelyFirst = (keys: readonly string[]): string[] =>
  keys.toSorted((a, b) => Number(/side|wall/i.test(b)) - Number(/side|wall/i.test(a)));

/** A trace from the robot's readings, or from any log: what the wheels did is taken for the correction. */
export function TraceLog(props: Props) {
  const { robot, fitted, controller, gain, aheadM, followed, onFollowed, onJudged } = props;
  const [log, setLog] = useState<Log | null>(null);
  const [channel, setChannel] = useState<string | null>(null);
  const [turnRad, setTurn] = useState(USUAL_TURN_RAD);
  const program = useProgram();
  const kept = KEPT[controller];
  const channels = useMemo(
    () =>
      likelyFirst(
        Object.keys(log?.columns ?? {}).filter((key) => channelOf(key)?.kind.key === kept),
      ),
    [log, kept],
  );
  const found = useMemo(() => {
    if (log === null) return null;
    const chosen = channel ?? channels[0] ?? null;
    if (kept !== undefined && chosen === null) {
      return 'The log holds no reading of the sensor that it follows by.';
    }
    try {
      const target = controller === 'turn' ? turnRad : followed.target;
      const by = { channel: kept === undefined ? null : chosen, target, side: followed.side };
      return traceFromLog(log, controller, fitted, { ...by, aheadM });
    } catch (error) {
      return sentenceOf(error);
    }
  }, [log, kept, channel, channels, controller, fitted, turnRad, followed, aheadM]);
  const end = useMemo(() => {
    const key = channel ?? channels[0];
    if (controller !== 'wall' || log === null || key === undefined) return null;
    if (found === null || typeof found === 'string') return null;
    const told = wallsEnd(log, key);
    return told && wallsEndSentence(told, found.speedMPerS ?? 0);
  }, [controller, log, channel, channels, found]);
  const push = () => void program.run([{ kind: 'push', controller, gain }], () => undefined);
  return (
    <details>
      <summary>Judge a trace from the robot’s readings</summary>
      <div className={styles.file}>
        <div className={styles.fields}>
          {controller === 'turn' && (
            <ValueField
              field={turnRad_}
              label="Told to turn, left positive"
              unit={DEG}
              value={turnRad}
              onChange={setTurn}
            />
          )}
          {channels.length > 1 && (
            <Select
              label="Followed by"
              value={channel ?? channels[0] ?? ''}
              options={channels.map((key) => ({ value: key, label: channelLabel(key) }))}
              onChange={setChannel}
            />
          )}
        </div>
        {SHOWN[controller].column.keepsReading && (
          <FollowedFields {...{ controller, followed }} onChange={onFollowed} />
        )}
        <LogSource
          robot={robot}
          meanwhile={SHOWN[controller].push}
          standInDoes={<ProgramButton program={program} label="Push the stand-in" onClick={push} />}
          onLog={(taken) => {
            setChannel(null);
            setLog(taken);
          }}
        />
        {program.problem !== null && <Notice tone="fault">{program.problem}</Notice>}
        {typeof found === 'string' && <Notice tone="fault">{found}</Notice>}
        {end !== null && <p data-testid="walls-end">{end}</p>}
        {found !== null && typeof found !== 'string' && (
          <FoundTrace
            {...{ controller, gain, found }}
            onNote={(judged) => {
              onJudged(judged);
              setLog(null);
            }}
          />
        )}
      </div>
    </details>
  );
}
