import { LENGTH_READ } from '../../../core/drive/lengthRead';
import { roundLength } from '../../../core/text/lengths';
import { judgeDrives, type ConfirmationDrive } from '../../../core/drive/confirmDrive';
import { driveCommandFor } from '../../../core/drive/straightStudy';
import type { StraightCalibration } from '../../../core/calibrationValues/straight';
import { benchLength, errorLength } from '../../../core/text/quantities';
import type { SavedCalibration, SavedCalibrationChange } from '../../../formats/benchRecords';
import { Confirm } from '../apply/Confirm';

interface Props {
  calibration: SavedCalibration;
  straight: StraightCalibration;
  speedMPerS: number;
  onTold(text: string): void;
  onNoted?(change: SavedCalibrationChange): void;
}

/** Distances that routes are made of. */
const wantedLengths = () => [0.5, 1].map(roundLength);

/** Two drives with the new wheel size: do they come right? */
export function ConfirmDrives({ calibration, straight, speedMPerS, onTold, onNoted }: Props) {
  const judge = (ends: readonly (number | null)[]) => {
    const done = wantedLengths().flatMap((wantedM, i): ConfirmationDrive[] => {
      const actualM = ends[i] ?? null;
      return actualM === null ? [] : [{ wantedM, actualM }];
    });
    const { within, sentence } = judgeDrives(straight, done);
    return { sentence, holds: done.length > 0 && within === done.length };
  };
  return (
    <Confirm
      // What is applied anew is tried anew.
      key={calibration.id}
      title="Two drives to confirm it"
      asked={wantedLengths().map((wantedM) => {
        const distanceM = driveCommandFor(wantedM, straight);
        return {
          told: `${benchLength(wantedM)}: tell a program that knows only the record ${errorLength(distanceM, 1)}`,
          label: `Truly driven, ${benchLength(wantedM)}`,
          standIn: {
            label: benchLength(wantedM),
            steps: [{ kind: 'straight', distanceM, speedMPerS, holdHeading: true }],
            valueOf: ({ xM }) => xM,
          },
        };
      })}
      field={LENGTH_READ}
      {...{ calibration, judge, onTold, ...(onNoted && { onNoted }) }}
    />
  );
}
