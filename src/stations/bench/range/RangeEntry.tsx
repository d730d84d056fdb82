import { useState } from 'react';
import { ulid } from 'ulid';
import { meanHeardM, READING_S } from '../../../core/ranging/meanHeard';
import { neighbour, nextDistance, READINGS_EACH } from '../../../core/ranging/benchPlan';
import { benchScale, roundLength } from '../../../core/text/lengths';
import { benchLength } from '../../../core/text/quantities';
import { MOST_LETTERS } from '../../../core/description/description';
import { devicesOf } from '../../../core/devices/ofRobot';
import { RANGE_TRIAL } from '../../../core/trials/range';
import type { RangeTrialRecord, RangeTrials } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { ValueField } from '../../../ui/fields/ValueField';
import { TextField } from '../../../ui/fields/TextField';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';
import { typedReadings } from '../logs/typedReadings';
import { ReadingForm } from '../trials/ReadingForm';

interface Props {
  robot: RobotRecord;
  unit: string;
  trials: readonly RangeTrialRecord[];
  /** Whether it shows a length or volts, and how far the robot is turned off the wall. */
  shows: RangeTrials['conditions']['shows'];
  turnedRad: number;
  onUnit(label: string): void;
  onReadings(readings: RangeTrialRecord[]): void;
}

/** Reading after reading by keys alone: Enter adds, arrows change the distance, a column can be pasted, l reads live. */
export function RangeEntry({ robot, unit, trials, shows, turnedRad, onUnit, onReadings }: Props) {
  const [trueM, setTrueM] = useState(() => roundLength(0.05));
  const [source] = useSource('stand-in');
  const live = useLiveReadings(robot.robot, 'distance sensor', unit);
  const here = trials.filter((one) => one.unit === unit);
  const labels = devicesOf(robot.robot, 'distance sensor').map(({ label }) => label);

  const inVolts = shows === 'volts';
  const { label, perM } = benchScale();
  const typedIn = inVolts ? { label: 'V', perSi: 1 } : { label, perSi: perM };
  const take = (readings: readonly (number | null)[]) => {
    const records = readings.map((reading): RangeTrialRecord => ({
      id: ulid(),
      unit,
      trueM,
      readingM: inVolts ? null : reading,
      readingV: inVolts ? reading : null,
      turnedRad,
      setAsideReason: null,
    }));
    onReadings(records);
    // Turned this way and that, the robot stays before one wall.
    if (turnedRad === 0) setTrueM(nextDistance(trueM, [...here, ...records]));
  };
  const takeTyped = (typed: string): string | null => {
    const { readings, bad } = typedReadings(typed, typedIn.perSi);
    if (bad !== null) {
      return `“${bad.slice(0, 20)}” is no reading: type a number in ${typedIn.label}, or x for a lost echo.`;
    }
    take(readings);
    return null;
  };
  const takeLive = () =>
    void live.take(source === 'serial' ? 'serial' : 'stand-in', READING_S, (looks) =>
      take([meanHeardM(looks.map(([heardCm = null]) => heardCm))]),
    );
  const done = here.filter((one) => Math.abs(one.trueM - trueM) < 5e-4).length;
  return (
    <ReadingForm
      id="range"
      label={`It reads (${typedIn.label})`}
      before={
        <>
          <TextField
            label={RANGE_TRIAL.fields.unit.label}
            maxLength={MOST_LETTERS}
            value={unit}
            suggestions={labels}
            onChange={onUnit}
          />
          <ValueField field={RANGE_TRIAL.fields.trueM} value={trueM} onChange={setTrueM} />
        </>
      }
      isBlocked={unit.trim() === ''}
      take={takeTyped}
      onArrow={(way) => setTrueM(neighbour(trueM, way))}
      live={inVolts ? null : { ...live, label: 'Take what it reads now', take: takeLive }}
      place={
        <>
          {done < READINGS_EACH
            ? `Reading ${done + 1} of ${READINGS_EACH} at ${benchLength(trueM, 1)}.`
            : `${done} readings at ${benchLength(trueM, 1)} are there.`}{' '}
          <kbd>x</kbd> is a lost echo, <kbd>↑</kbd> <kbd>↓</kbd> the distance before and after; a
          pasted column is taken line by line.
        </>
      }
    />
  );
}
