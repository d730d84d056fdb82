import { useState } from 'react';
import { CHANGE_OVER, MOST_CHANGE_OVERS } from '../../../core/match/description';
import { parseDecimal } from '../../../core/text/decimal';
import { shortNumber } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { useTellInError } from '../../../ui/fields/fieldsInError';
import { TextField } from '../../../ui/fields/TextField';
import styles from './MatchStation.module.css';

interface Props {
  /** For which launch, as its buttons say it. */
  of: string;
  value: readonly number[];
  onChange(secondsS: number[]): void;
}

const { min, max } = CHANGE_OVER;

/** The times in a line, a space between two; null where one of them is none. */
function readSeconds(text: string): number[] | null {
  const words = text.split(/[\s;]+/).filter((word) => word !== '');
  const seconds = words.map((word) => parseDecimal(word) ?? Number.NaN);
  const fits =
    seconds.every((one) => one >= min && one <= max) && seconds.length <= MOST_CHANGE_OVERS;
  return fits ? seconds : null;
}

const written = (seconds: readonly number[]): string =>
  seconds.map((one) => shortNumber(one, 1)).join(' ');

/** Measured change-overs: typed, or taken by a clock that is started and stopped here. */
export function SecondsField({ of, value, onChange }: Props) {
  const [typed, setTyped] = useState(() => written(value));
  const [sinceMs, setSinceMs] = useState<number | null>(null);
  const read = readSeconds(typed);
  useTellInError(`change-overs of ${of}`, read === null);
  // What was changed elsewhere is shown; what is being typed stays as it is.
  const text = read === null || written(read) === written(value) ? typed : written(value);
  const take = () => {
    if (sinceMs === null) {
      setSinceMs(performance.now());
      return;
    }
    const tookS = Math.round((performance.now() - sinceMs) / 100) / 10;
    setSinceMs(null);
    if (tookS >= min && tookS <= max) onChange([...value, tookS].slice(-MOST_CHANGE_OVERS));
  };
  return (
    <div className={styles.seconds}>
      <TextField
        label="Change-overs before it, s"
        value={text}
        inputMode="decimal"
        aria-invalid={read === null}
        hint={
          read === null
            ? `Wanted here: seconds from ${shortNumber(min, 1)} to ${max}, a space between two.`
            : 'as measured, a space between two'
        }
        onChange={(line) => {
          setTyped(line);
          const seconds = readSeconds(line);
          if (seconds !== null) onChange(seconds);
        }}
      />
      <Button
        className="no-print"
        aria-pressed={sinceMs !== null}
        disabled={read === null || value.length >= MOST_CHANGE_OVERS}
        onClick={take}
      >
        {sinceMs === null ? 'Time one' : 'Ready: stop'}
      </Button>
    </div>
  );
}
