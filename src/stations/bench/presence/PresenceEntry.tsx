import { useRef, useState, type KeyboardEvent } from 'react';
import { ulid } from 'ulid';
import { devicesOf, isA } from '../../../core/devices/ofRobot';
import { evenly } from '../../../core/light/lightScale';
import { parseDecimal } from '../../../core/text/decimal';
import { PRESENCE_TRIAL } from '../../../core/trials/presence';
import type { PresenceTrialRecord } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import fields from '../../../ui/fields/TextField.module.css';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';

interface Props {
  robot: RobotRecord;
  by: string;
  trials: readonly PresenceTrialRecord[];
  onReadings(readings: PresenceTrialRecord[]): void;
}

const READINGS_EACH = 10;
const AT_ONCE = 5;
const LISTENS_S = 1;
/** What is typed for a reading that did not come back. */
const NONE = /^(x|-|–|lost|no echo)$/i;
const OTHER = { yes: 'no', no: 'yes' } as const;

/** Reading after reading: ten with something there, ten without. */
export function PresenceEntry({ robot, by, trials, onReadings }: Props) {
  const [there, setThere] = useState<'yes' | 'no'>(trials.at(-1)?.there ?? 'yes');
  const [batteryV, setBattery] = useState<number | null>(trials.at(-1)?.batteryV ?? null);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [source] = useSource('stand-in');
  const unit = robot.robot.units.find(({ label }) => label === by);
  const live = useLiveReadings(robot.robot, unit?.kind ?? 'distance sensor', by);
  const input = useRef<HTMLInputElement>(null);
  const count = (is: 'yes' | 'no') => trials.filter((one) => one.there === is).length;
  const take = (readings: readonly (number | null)[]) => {
    onReadings(
      readings.map((reading) => ({ id: ulid(), there, reading, batteryV, setAsideReason: null })),
    );
    setText('');
    setProblem(null);
    const isFull = count(there) + readings.length >= READINGS_EACH;
    if (isFull && count(OTHER[there]) < READINGS_EACH) setThere(OTHER[there]);
    input.current?.focus();
  };
  const takeTyped = () => {
    const typed = text.trim();
    if (typed === '') return;
    const reading = NONE.test(typed) ? null : parseDecimal(typed);
    if (reading === null || Number.isFinite(reading)) take([reading]);
    else
      setProblem(
        `“${typed.slice(0, 20)}” is no reading: type a number, or x where nothing came back.`,
      );
  };
  const takeLive = () =>
    void live.take(source === 'serial' ? 'serial' : 'stand-in', LISTENS_S, (looks) => {
      if (looks.length === 0) setProblem('Nothing was read in that second.');
      else take(evenly(looks, AT_ONCE).map(([first = null]) => first));
    });
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') setThere(OTHER[there]);
    else if (event.key === 'l' && text === '' && unit !== undefined) takeLive();
    else return;
    event.preventDefault();
  };
  const isPluggedIn =
    unit !== undefined && devicesOf(robot.robot, unit.kind).some((one) => isA(one, unit.kind));
  return (
    <form
      className={styles.work}
      aria-label="A reading"
      onSubmit={(event) => {
        event.preventDefault();
        takeTyped();
      }}
    >
      <ChoiceField field={PRESENCE_TRIAL.fields.there} value={there} onChange={setThere} />
      <div className={styles.fields}>
        <span className={fields.field}>
          <label htmlFor="presence-reading">It reads</label>
          <input
            id="presence-reading"
            ref={input}
            inputMode="decimal"
            autoComplete="off"
            value={text}
            aria-describedby="presence-keys"
            onChange={(event) => setText(event.target.value)}
            onKeyDown={onKeyDown}
          />
        </span>
        <ValueField
          field={PRESENCE_TRIAL.fields.batteryV}
          hint="if it is noted"
          value={batteryV}
          onChange={setBattery}
          onClear={() => setBattery(null)}
        />
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={text.trim() === ''}>
          Add the reading <kbd>Enter</kbd>
        </Button>
        <Button onClick={() => take([null])}>Nothing came back</Button>
        {isPluggedIn && (
          <Button disabled={live.isTaking} onClick={takeLive}>
            {live.isTaking ? 'Reading …' : `Take ${AT_ONCE} as it reads now`} <kbd>l</kbd>
          </Button>
        )}
      </div>
      <p id="presence-keys" className="faint" data-testid="presence-place">
        {count('yes')} with something there, {count('no')} without: {READINGS_EACH} of each tell.{' '}
        <kbd>↑</kbd> <kbd>↓</kbd> the other; <kbd>x</kbd> nothing came back.
      </p>
      {(problem ?? live.problem) !== null && (
        <p role="alert" className={styles.problem}>
          {problem ?? live.problem}
        </p>
      )}
    </form>
  );
}
