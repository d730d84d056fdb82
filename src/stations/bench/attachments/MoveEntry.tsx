import { useState } from 'react';
import { ulid } from 'ulid';
import type { EntryOf } from '../../../core/trials/kind';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { devicesOf } from '../../../core/devices/ofRobot';
import { ATTACHMENT_MOVE, type AttachmentMoveRecord } from '../../../core/trials/attachment';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';
import { doWithStandIn } from '../standIn/standInStore';
import { useStandInIsOn } from '../standIn/useStandIn';
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
  const isOn = useStandInIsOn();
  const [refused, setRefused] = useState<string | null>(null);
  const last = trials.at(-1);
  const take = (onAngle: (angleRad: number) => void) =>
    void live.take(source === 'serial' ? 'serial' : 'stand-in', LISTENS_S, (looks) => {
      const newest = looks.at(-1)?.[0];
      if (newest !== null && newest !== undefined) onAngle(radiansFromDegrees(newest));
    });
  const move = async (entry: EntryOf<typeof ATTACHMENT_MOVE>) => {
    if (motor === undefined) return;
    const { wantedRad: toRad, came, speedRadPerS, load } = entry;
    const refused = await doWithStandIn({
      do: 'move-attachment',
      unitId: motor.id,
      ...{ toRad, came, speedRadPerS, load },
    });
    setRefused(refused);
    if (refused !== null) return;
    take((reachedRad) =>
      onTrial({ ...entry, reachedRad, timeS: null, id: ulid(), setAsideReason: null }),
    );
  };
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
      more={(entry, isWrong) =>
        motor !== undefined &&
        source !== 'serial' && (
          <Button
            disabled={isWrong || live.isTaking || entry.position === '' || isOn !== true}
            onClick={() => void move(entry)}
          >
            Let the stand-in move there
          </Button>
        )
      }
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
            {(live.problem ?? refused) !== null && (
              <p role="alert" className={styles.problem}>
                {live.problem ?? refused}
              </p>
            )}
          </>
        )
      }
    />
  );
}
