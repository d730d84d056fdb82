import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
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
import { Button } from '../../../ui/Button';
import { ValueField } from '../../../ui/fields/ValueField';
import { TextField } from '../../../ui/fields/TextField';
import fields from '../../../ui/fields/TextField.module.css';
import styles from '../Bench.module.css';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';
import { typedReadings } from '../logs/typedReadings';

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
  const [text, setText] = useState('');
  const [bad, setBad] = useState<string | null>(null);
  const [source] = useSource('stand-in');
  const live = useLiveReadings(robot.robot, 'distance sensor', unit);
  const input = useRef<HTMLInputElement>(null);
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
    setText('');
    setBad(null);
    // Turned this way and that, the robot stays before one wall.
    if (turnedRad === 0) setTrueM(nextDistance(trueM, [...here, ...records]));
    input.current?.focus();
  };
  const takeTyped = (typed: string) => {
    if (typed.trim() === '') return;
    const { readings, bad: odd } = typedReadings(typed, typedIn.perSi);
    if (odd === null) take(readings);
    else setBad(odd);
  };
  const takeLive = () =>
    void live.take(source === 'serial' ? 'serial' : 'stand-in', READING_S, (looks) =>
      take([meanHeardM(looks.map(([heardCm = null]) => heardCm))]),
    );
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') setTrueM(neighbour(trueM, 1));
    else if (event.key === 'ArrowUp') setTrueM(neighbour(trueM, -1));
    else if (event.key === 'l' && text === '' && !inVolts) takeLive();
    else return;
    event.preventDefault();
  };
  const onPaste = (event: ClipboardEvent) => {
    const pasted = event.clipboardData.getData('text');
    if (!/[\n\r\t;]/.test(pasted)) return;
    event.preventDefault();
    takeTyped(pasted);
  };
  const done = here.filter((one) => Math.abs(one.trueM - trueM) < 5e-4).length;
  return (
    <form
      className={styles.work}
      aria-label="A reading"
      onSubmit={(event) => {
        event.preventDefault();
        takeTyped(text);
      }}
    >
      <div className={styles.fields}>
        <TextField
          label={RANGE_TRIAL.fields.unit.label}
          maxLength={MOST_LETTERS}
          value={unit}
          suggestions={labels}
          onChange={onUnit}
        />
        <ValueField field={RANGE_TRIAL.fields.trueM} value={trueM} onChange={setTrueM} />
        <span className={fields.field}>
          <label htmlFor="range-reading">It reads ({typedIn.label})</label>
          <input
            id="range-reading"
            ref={input}
            inputMode="decimal"
            autoComplete="off"
            value={text}
            aria-describedby="range-keys"
            onChange={(event) => setText(event.target.value)}
            onKeyDown={onKeyDown}
            onPaste={onPaste}
          />
        </span>
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={text.trim() === '' || unit.trim() === ''}>
          Add the reading <kbd>Enter</kbd>
        </Button>
        {!inVolts && (
          <Button disabled={live.isTaking || unit.trim() === ''} onClick={takeLive}>
            {live.isTaking ? 'Reading …' : 'Take what it reads now'} <kbd>l</kbd>
          </Button>
        )}
      </div>
      <p id="range-keys" className="faint" data-testid="range-place">
        {done < READINGS_EACH
          ? `Reading ${done + 1} of ${READINGS_EACH} at ${benchLength(trueM, 1)}.`
          : `${done} readings at ${benchLength(trueM, 1)} are there.`}{' '}
        <kbd>x</kbd> is a lost echo, <kbd>↑</kbd> <kbd>↓</kbd> the distance before and after; a
        pasted column is taken line by line.
      </p>
      {bad !== null && (
        <p role="alert" className={styles.problem}>
          “{bad.slice(0, 20)}” is no reading: type a number in {typedIn.label}, or x for a lost
          echo.
        </p>
      )}
      {live.problem !== null && (
        <p role="alert" className={styles.problem}>
          {live.problem}
        </p>
      )}
    </form>
  );
}
