import { judgeRecheck, rangeRecheck, stopRecheck } from '../../../core/calibration/recheck';
import { benchLength } from '../../../core/text/quantities';
import type { SavedCalibration, SavedCalibrationChange } from '../../../formats/benchRecords';
import { SMALL_LENGTH } from '../../../ui/fields/units';
import { Confirm } from '../apply/Confirm';
import { ConfirmDrives } from '../straight/ConfirmDrives';
import { ConfirmTurns } from '../turns/ConfirmTurns';

interface Props {
  calibration: SavedCalibration;
  onTold(text: string): void;
  onNoted(change: SavedCalibrationChange): void;
}

/** So fast the stand-in drives straight for a check. */
const USUAL_M_PER_S = 0.25;
const MOST_MM = 10_000;

/** Kinds that two or three trials can look at again. */
const LOOKED_AT: readonly SavedCalibration['value']['kind'][] = [
  'turns',
  'straight',
  'range',
  'stop',
];

/** Whether a calibration can be looked at again in a minute. */
export const hasQuickCheck = ({ value }: SavedCalibration): boolean =>
  LOOKED_AT.includes(value.kind) && !(value.kind === 'range' && value.volts !== undefined);

/** Readings of a length against what a calibration foretells of them. */
function ConfirmLengths({ calibration, onTold, onNoted }: Props) {
  const { value } = calibration;
  const say = (metres: number) => benchLength(metres);
  const trials =
    value.kind === 'range'
      ? rangeRecheck(value, say)
      : value.kind === 'stop'
        ? stopRecheck(value, say)
        : [];
  // Of a sensor enough readings were taken for its noise to be as good as known.
  const freedom = value.kind === 'stop' ? Math.max(1, value.n - 2) : 30;
  return (
    <Confirm
      key={calibration.id}
      title="Three trials: does it still hold?"
      asked={trials.map(({ told, label }) => ({ told, label }))}
      unit={SMALL_LENGTH}
      max={MOST_MM}
      judge={(values) => {
        const read = values.filter((one) => one !== null);
        return read.length < trials.length
          ? { holds: false, sentence: 'Make the three trials, and type what is read.' }
          : judgeRecheck(trials, read, freedom);
      }}
      {...{ calibration, onTold, onNoted }}
    />
  );
}

/** Two or three trials against what a calibration foretells: a minute, instead of measuring it anew. */
export function QuickCheck(props: Props) {
  const { value } = props.calibration;
  if (value.kind === 'turns') {
    return <ConfirmTurns turns={value} {...props} />;
  }
  if (value.kind === 'straight') {
    return <ConfirmDrives straight={value} speedMPerS={USUAL_M_PER_S} {...props} />;
  }
  return <ConfirmLengths {...props} />;
}
