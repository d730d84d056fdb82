import { radiansFromDegrees } from '../../../core/geometry/angle';
import { devicesOf } from '../../../core/devices/ofRobot';
import { ATTACHMENT_MOVE, type AttachmentMoveRecord } from '../../../core/trials/attachment';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';
import { Jog } from './Jog';
import { ShareOfRange } from './ShareOfRange';
import { DescribedEntry } from '../trials/DescribedEntry';

interface Props {
  robot: RobotRecord;
  trials: readonly AttachmentMoveRecord[];
  /** From end to end; null: not told. */
  rangeRad: number | null;
  onTrial(trial: AttachmentMoveRecord): void;
}

const LISTENS_S = 0.5;
const USUAL_RAD_PER_S = radiansFromDegrees(180);

/** A move to a position: the angles typed, or taken from where the attachment stands now. */
export function MoveEntry({ robot, trials, rangeRad, onTrial }: Props) {
  const [motor] = devicesOf(robot.robot, 'attachment motor');
  const live = useLiveReadings(robot.robot, 'attachment motor', motor?.label ?? '');
  const [source] = useSource('stand-in');
  const last = trials.at(-1);
  const take = (onAngle: (angleRad: number) => void) =>
    void live.take(source === 'serial' ? 'serial' : 'stand-in', LISTENS_S, (looks) => {
      const newest = looks.at(-1)?.[0];
      if (newest !== null && newest !== undefined) onAngle(radiansFromDegrees(newest));
    });
  return (
    <DescribedEntry
      kind={ATTACHMENT_MOVE}
      start={{
        position: last?.position ?? '',
        wantedRad: last?.wantedRad ?? 0,
        endedBy: last?.endedBy ?? 'counter',
        came: last?.came ?? 'up',
        speedRadPerS: last?.speedRadPerS ?? USUAL_RAD_PER_S,
        load: last?.load ?? 'empty',
      }}
      suggestions={{ position: [...new Set(trials.map(({ position }) => position))] }}
      onTrial={onTrial}
      below={(fill) =>
        motor !== undefined && (
          <>
            {source !== 'serial' && <Jog unitId={motor.id} />}
            {rangeRad !== null && (
              <ShareOfRange onShare={(share) => fill({ wantedRad: share * rangeRad })} />
            )}
            <div className={styles.actions}>
              <Button
                disabled={live.isTaking}
                onClick={() => take((wantedRad) => fill({ wantedRad }))}
              >
                Where it stands now is the position
              </Button>
              <Button
                disabled={live.isTaking}
                onClick={() => take((reachedRad) => fill({ reachedRad }))}
              >
                It stood where it stands now
              </Button>
            </div>
            {live.problem !== null && (
              <p role="alert" className={styles.problem}>
                {live.problem}
              </p>
            )}
          </>
        )
      }
    />
  );
}
