import { ulid } from 'ulid';
import { thresholdShares } from '../../../core/light/thresholdShares';
import type { LightThresholdCalibration } from '../../../core/calibrationValues/lightThreshold';
import { devicesOf } from '../../../core/devices/ofRobot';
import { LINE_PASS, type LinePassEntry, type LinePassRecord } from '../../../core/trials/linePass';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { ProgramButton } from '../standIn/ProgramButton';
import { ProgramProblem } from '../standIn/ProgramProblem';
import { useProgram, type Measured } from '../standIn/useProgram';
import { DescribedEntry } from '../trials/DescribedEntry';

interface Props {
  robot: RobotRecord;
  held: LightThresholdCalibration | null;
  lineWidthM: number;
  speedMPerS: number;
  onTrial(pass: LinePassRecord): void;
}

/** The stand-in begins so far from the line; past this it has missed it. */
const AWAY_M = 0.25;
const FAR_PAST_M = 0.15;

/** A drive over the line: typed, or driven by the stand-in. */
export function PassEntry({ robot, held, lineWidthM, speedMPerS, onTrial }: Props) {
  const program = useProgram();
  const [unit] = devicesOf(robot.robot, 'light sensor');
  const note = (entry: LinePassEntry, noticed: LinePassRecord['noticed'], overM: number | null) =>
    onTrial({ ...entry, id: ulid(), noticed, overM, setAsideReason: null });
  const measured = (entry: LinePassEntry, { xM }: Measured) => {
    const edgeM = AWAY_M + (entry.on === 'leaving' ? lineWidthM : 0);
    const overM = (entry.drives === 'forwards' ? xM : -xM) - edgeM;
    const stopped = overM > FAR_PAST_M ? 'nothing' : overM < -edgeM / 2 ? 'floor' : 'line';
    note(entry, stopped, stopped === 'line' ? Math.round(overM * 1000) / 1000 : null);
  };
  const drive = (entry: LinePassEntry) => {
    if (unit === undefined) return;
    const speed = entry.drives === 'forwards' ? entry.speedMPerS : -entry.speedMPerS;
    const line = { awayM: AWAY_M, widthM: lineWidthM, on: entry.on };
    void program.run(
      [
        {
          kind: 'to-line',
          speedMPerS: speed,
          ...line,
          ...thresholdShares(held, unit.behaviour),
        },
      ],
      (seen) => measured(entry, seen),
    );
  };
  return (
    <>
      <DescribedEntry
        kind={LINE_PASS}
        start={{
          by: 'brightness',
          drives: 'forwards',
          on: 'entering',
          speedMPerS,
          noticed: 'line',
        }}
        onTrial={onTrial}
        more={(entry, isWrong) => (
          <>
            <Button disabled={isWrong} onClick={() => note(entry, 'nothing', null)}>
              It missed the line
            </Button>
            <Button disabled={isWrong} onClick={() => note(entry, 'floor', null)}>
              It took floor for a line
            </Button>
            {unit !== undefined && (
              <ProgramButton
                program={program}
                label="Let the stand-in drive over it"
                isWrong={isWrong || entry.by !== 'brightness'}
                onClick={() => drive(entry)}
              />
            )}
          </>
        )}
      />
      <ProgramProblem program={program} />
    </>
  );
}
