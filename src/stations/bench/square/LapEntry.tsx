import { useState } from 'react';
import { ulid } from 'ulid';
import { wrap } from '../../../core/geometry/angle';
import { whereRead } from '../../../core/channels/log';
import { headingLeftOver } from '../../../core/square/headingLeftOver';
import type { Corners, DrivenBy } from '../../../core/square/squarePath';
import { LAP_TRIAL } from '../../../core/trials/lap';
import type { LapRecord } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';
import { DescribedEntry } from '../trials/DescribedEntry';
import { lapProgram } from '../standIn/lapProgram';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram } from '../standIn/useProgram';
import { fetchedLater } from '../../../ui/fetchedLater';

/** What reads files is fetched when somebody opens it. */
const LogSource = fetchedLater(async () => (await import('../logs/LogSource')).LogSource);

/** Where encoders drive the lap, the gyro can say how far the robot has turned over. */
function HeadingFromLog({
  robot,
  onHeading,
}: {
  robot: RobotRecord;
  onHeading(headingRad: number): void;
}) {
  const [logWanted, setLogWanted] = useState(false);
  return (
    <details onToggle={() => setLogWanted(true)}>
      <summary>Heading from the robot’s own log</summary>
      <div className={styles.file}>
        <small className="faint">
          When encoders drive the lap, the gyro can say how far the robot has turned over.
        </small>
        {logWanted && (
          <LogSource
            robot={robot}
            meanwhile="Let it drive its lap, standing for a second before and after."
            onLog={(log) => {
              const { headingRad } = whereRead(log, ['headingRad']).columns;
              if (headingRad !== undefined) onHeading(headingLeftOver(headingRad));
            }}
          />
        )}
      </div>
    </details>
  );
}

interface Props {
  sideM: number;
  driven: DrivenBy;
  corners: Corners;
  robot: RobotRecord;
  onLap(lap: LapRecord): void;
}

/** A lap's return: typed from the ruler, or driven by the stand-in. */
export function LapEntry({ sideM, driven, corners, robot, onLap }: Props) {
  const program = useProgram();
  const drive = (direction: LapRecord['direction']) =>
    void program.run(
      lapProgram(sideM, driven, direction, corners),
      ({ xM, yM, turnedRad: turned }) =>
        onLap({
          id: ulid(),
          direction,
          goesOn: false,
          driven,
          ...{ xM, yM, headingRad: wrap(turned) },
          setAsideReason: null,
        }),
    );
  return (
    <>
      <DescribedEntry
        kind={LAP_TRIAL}
        start={{ direction: 'cw', goesOn: false, driven }}
        onTrial={onLap}
        more={({ direction }) => (
          <Button
            disabled={!program.isOn || program.moving || program.running}
            onClick={() => drive(direction)}
          >
            {program.running ? 'The stand-in drives …' : 'Let the stand-in drive a lap'}
          </Button>
        )}
        below={(fill) =>
          driven === 'encoders' && (
            <HeadingFromLog robot={robot} onHeading={(headingRad) => fill({ headingRad })} />
          )
        }
      />
      <ProgramProblem program={program} />
    </>
  );
}
