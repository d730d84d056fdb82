import { TURN_ENTRY } from '../../core/trials/turn';
import { judgeConfirmation, type ConfirmationTurn } from '../../core/calibration/confirm';
import type { TurnsCalibration } from '../../core/calibrationValues/turns';
import { leadFor } from '../../core/calibrationValues/turnStop';
import { degreesFromRadians, radiansFromDegrees } from '../../core/geometry/angle';
import { degrees, number } from '../../core/text/quantities';
import type { SavedCalibration, SavedCalibrationChange } from '../../formats/benchRecords';
import { Confirm, type Asked } from '../bench/apply/Confirm';

interface Props {
  calibration: SavedCalibration;
  turns: TurnsCalibration;
  onTold(text: string): void;
  onNoted?(change: SavedCalibrationChange): void;
}

const ANGLES = [90, -90, 180].map(radiansFromDegrees);

function askedTurn(turns: TurnsCalibration, wantedRad: number, rateRadPerS: number): Asked {
  const lead = leadFor(turns, wantedRad, rateRadPerS) ?? 0;
  const way = wantedRad < 0 ? 'right' : 'left';
  const turn = `${degrees(Math.abs(wantedRad), 0)} to the ${way}`;
  return {
    told: `${turn} at ${degrees(rateRadPerS, 0)}/s: stop at ${number(degreesFromRadians(Math.abs(wantedRad) - lead), 1)}°`,
    label: `Truly turned, ${turn}`,
    standIn: {
      label: `${degrees(Math.abs(wantedRad), 0)} ${way}`,
      steps: [
        {
          kind: 'turn',
          angleRad: wantedRad,
          how: { school: 'stop-early', rateRadPerS, leadRad: Math.max(0, lead) },
        },
      ],
      valueOf: ({ turnedRad }) => Math.abs(turnedRad),
    },
  };
}

/** Three turns with the new commands: do they come right? */
export function ConfirmTurns({ calibration, turns, onTold, onNoted }: Props) {
  const rateRadPerS = turns.groups[0]?.rates[0] ?? radiansFromDegrees(90);
  const judge = (sizes: readonly (number | null)[]) => {
    const done = ANGLES.flatMap((wantedRad, i): ConfirmationTurn[] => {
      const size = sizes[i] ?? null;
      return size === null ? [] : [{ wantedRad, actualRad: Math.sign(wantedRad) * size }];
    });
    const { within, sentence } = judgeConfirmation(turns, rateRadPerS, done);
    return { sentence, holds: done.length > 0 && within === done.length };
  };
  return (
    <Confirm
      // What is applied anew is tried anew.
      key={calibration.id}
      title="Three turns to confirm it"
      asked={ANGLES.map((wantedRad) => askedTurn(turns, wantedRad, rateRadPerS))}
      field={TURN_ENTRY.angleRad}
      {...{ calibration, judge, onTold, ...(onNoted && { onNoted }) }}
    />
  );
}
