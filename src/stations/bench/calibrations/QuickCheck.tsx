import { LENGTH_READ } from '../../../core/drive/lengthRead';
import type { ReactNode } from 'react';
import type {
  CalibrationKind,
  CalibrationOf,
  CalibrationValue,
} from '../../../core/calibration/calibration';
import {
  judgeRecheck,
  rangeRecheck,
  stopRecheck,
  type RecheckTrial,
} from '../../../core/calibration/recheck';
import { benchLength } from '../../../core/text/quantities';
import type { SavedCalibration, SavedCalibrationChange } from '../../../formats/benchRecords';
import { Confirm } from '../apply/Confirm';
import { ConfirmDrives } from '../straight/ConfirmDrives';
import { ConfirmTurns } from '../../afterApplying/ConfirmTurns';

interface Props {
  calibration: SavedCalibration;
  onTold(text: string): void;
  onNoted(change: SavedCalibrationChange): void;
}

/** So fast the stand-in drives straight for a check. */
const USUAL_M_PER_S = 0.25;

interface LengthProps extends Props {
  trials: readonly RecheckTrial[];
  /** Of the scatter that they are judged by. */
  freedom: number;
}

/** Readings of a length against what a calibration foretells of them. */
const ConfirmLengths = ({ calibration, trials, freedom, onTold, onNoted }: LengthProps) => (
  <Confirm
    key={calibration.id}
    title="Three trials: does it still hold?"
    asked={trials.map(({ told, label }) => ({ told, label }))}
    field={LENGTH_READ}
    judge={(values) => {
      const read = values.filter((one) => one !== null);
      return read.length < trials.length
        ? { holds: false, sentence: 'Make the three trials, and type what is read.' }
        : judgeRecheck(trials, read, freedom);
    }}
    {...{ calibration, onTold, onNoted }}
  />
);

/** How a kind of calibration is looked at again by two or three trials. */
interface Check<Value> {
  /** Left out where each can be. */
  isPossible?(value: Value): boolean;
  Check(props: Props & { value: Value }): ReactNode;
}

/** Of a sensor enough readings were taken for its noise to be as good as known. */
const AS_GOOD_AS_KNOWN = 30;
const say = (metres: number) => benchLength(metres);

const CHECKS: { [K in CalibrationKind]?: Check<CalibrationOf<K>> } = {
  turns: { Check: ({ value, ...props }) => <ConfirmTurns turns={value} {...props} /> },
  straight: {
    Check: ({ value, ...props }) => (
      <ConfirmDrives straight={value} speedMPerS={USUAL_M_PER_S} {...props} />
    ),
  },
  range: {
    isPossible: ({ volts }) => volts === undefined,
    Check: ({ value, ...props }) => (
      <ConfirmLengths trials={rangeRecheck(value, say)} freedom={AS_GOOD_AS_KNOWN} {...props} />
    ),
  },
  stop: {
    Check: ({ value, ...props }) => (
      <ConfirmLengths
        trials={stopRecheck(value, say)}
        freedom={Math.max(1, value.n - 2)}
        {...props}
      />
    ),
  },
};

const checkOf = ({ kind }: CalibrationValue) => CHECKS[kind] as Check<CalibrationValue> | undefined;

/** Whether a calibration can be looked at again in a minute. */
export function hasQuickCheck({ value }: SavedCalibration): boolean {
  const check = checkOf(value);
  return check !== undefined && (check.isPossible?.(value) ?? true);
}

/** Two or three trials against what a calibration foretells: a minute, instead of measuring it anew. */
export function QuickCheck(props: Props) {
  const { value } = props.calibration;
  const check = checkOf(value);
  return check === undefined ? null : <check.Check value={value} {...props} />;
}
