import { useRef, useState } from 'react';
import { ulid } from 'ulid';
import { NUMBERS_OF } from '../../../core/colourClasses/colourTrials';
import { MOST_LETTERS } from '../../../core/description/description';
import { devicesOf } from '../../../core/devices/ofRobot';
import { evenly, inScale } from '../../../core/light/lightScale';
import { parseDecimal } from '../../../core/text/decimal';
import { COLOUR_TRIAL } from '../../../core/trials/colour';
import { counted } from '../../../core/text/quantities';
import type { ColourTrialRecord, ColourTrials } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { TextField } from '../../../ui/fields/TextField';
import fields from '../../../ui/fields/TextField.module.css';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';

interface Props {
  robot: RobotRecord;
  trials: readonly ColourTrialRecord[];
  conditions: ColourTrials['conditions'];
  onReadings(readings: ColourTrialRecord[]): void;
}

const READINGS_EACH = 5;
const LISTENS_S = 1;
/** Counts of a sensor that is read live are told of this many, where nobody said. */
const USUAL_FULL = 255;

const NOTHING = {
  red: null,
  green: null,
  blue: null,
  clear: null,
  hue: null,
  saturation: null,
  value: null,
  says: '',
};

/** Reading after reading over one colour and the next: its numbers one by one, Enter goes on and adds at the last. */
export function ColourEntry({ robot, trials, conditions, onReadings }: Props) {
  const last = trials.at(-1);
  const [sensor] = devicesOf(robot.robot, 'colour sensor');
  const [name, setName] = useState(last?.name ?? '');
  const [distanceM, setDistance] = useState<number | null>(last?.distanceM ?? null);
  const [light, setLight] = useState(last?.light ?? '');
  const [unit, setUnit] = useState(last?.unit ?? sensor?.label ?? '');
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const [source] = useSource('stand-in');
  const live = useLiveReadings(robot.robot, 'colour sensor', sensor?.label ?? '');
  const inputs = useRef<(HTMLInputElement | null)[]>([]);
  const { shows } = conditions;
  const asked: readonly string[] = shows === 'class' ? ['says'] : NUMBERS_OF[shows];
  const names = [...new Set(trials.map((one) => one.name))];

  const take = (readings: readonly Partial<ColourTrialRecord>[]) => {
    onReadings(
      readings.map((reading) => ({
        id: ulid(),
        name: name.trim(),
        ...NOTHING,
        ...reading,
        distanceM,
        light,
        unit,
        setAsideReason: null,
      })),
    );
    setTyped({});
    setProblem(null);
    inputs.current[0]?.focus();
  };
  const textOf = (key: string) => (typed[key] ?? '').trim();
  const addTyped = () => {
    if (name.trim() === '') return setProblem('Say first what it is over: a colour.');
    if (shows === 'class') {
      if (textOf('says') !== '') take([{ says: textOf('says') }]);
      return;
    }
    const given = asked.filter((key) => key !== 'clear' || textOf(key) !== '');
    const odd = given.find((key) => !Number.isFinite(parseDecimal(textOf(key))));
    if (odd !== undefined) {
      inputs.current[asked.indexOf(odd)]?.focus();
      return setProblem(textOf(odd) === '' ? null : `“${textOf(odd).slice(0, 20)}” is no number.`);
    }
    take([Object.fromEntries(given.map((key) => [key, parseDecimal(textOf(key))]))]);
  };
  /** Enter goes on to the next number, and adds at the last. */
  const goOn = () => {
    const next = asked.findIndex((key) => textOf(key) === '' && key !== 'clear');
    if (next > 0) inputs.current[next]?.focus();
    else addTyped();
  };
  const takeLive = () => {
    if (name.trim() === '') return setProblem('Say first what it is over: a colour.');
    const full = conditions.full ?? USUAL_FULL;
    void live.take(source === 'serial' ? 'serial' : 'stand-in', LISTENS_S, (looks) => {
      const whole = looks.filter((look) => look.slice(0, 3).every((share) => share !== null));
      if (whole.length === 0) return setProblem('Nothing was read in that second.');
      const count = (share: number | null | undefined) =>
        share === null || share === undefined ? null : Math.round(inScale(share, full));
      take(
        evenly(whole, READINGS_EACH).map(([red, green, blue, clear]) => ({
          red: count(red),
          green: count(green),
          blue: count(blue),
          clear: count(clear),
        })),
      );
    });
  };
  const here = trials.filter((one) => one.name === name.trim()).length;
  return (
    <form
      className={styles.work}
      aria-label="A reading"
      onSubmit={(event) => {
        event.preventDefault();
        goOn();
      }}
    >
      <div className={styles.fields}>
        <TextField
          label={COLOUR_TRIAL.fields.name.label}
          maxLength={MOST_LETTERS}
          value={name}
          suggestions={[...new Set([...names, 'dark floor', 'nothing there'])]}
          onChange={setName}
        />
        {asked.map((key, i) => (
          <span className={fields.field} key={key}>
            <label htmlFor={`colour-${key}`}>
              {COLOUR_TRIAL.fields[key as 'red'].label}
              {key === 'clear' && ' (if it has it)'}
            </label>
            <input
              id={`colour-${key}`}
              ref={(element) => {
                inputs.current[i] = element;
              }}
              inputMode={shows === 'class' ? 'text' : 'decimal'}
              autoComplete="off"
              value={typed[key] ?? ''}
              onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            />
          </span>
        ))}
      </div>
      <div className={styles.actions}>
        <Button look="strong" type="submit" disabled={textOf(asked[0] ?? '') === ''}>
          Add the reading <kbd>Enter</kbd>
        </Button>
        {shows === 'rgb' && sensor !== undefined && (
          <Button disabled={live.isTaking} onClick={takeLive}>
            {live.isTaking ? 'Reading …' : `Take ${READINGS_EACH} as it reads now`}
          </Button>
        )}
      </div>
      <p className="faint" data-testid="colour-place">
        {name.trim() === ''
          ? 'Five readings of each colour, moving the sensor a little.'
          : here > READINGS_EACH
            ? `${counted(here, 'reading')} of ${name.trim()}.`
            : `${here} of ${READINGS_EACH} of ${name.trim()}.`}{' '}
        Read the dark floor and “nothing there” as colours of their own.
      </p>
      <details>
        <summary>Height, light and unit</summary>
        <div className={styles.fields}>
          <ValueField
            field={COLOUR_TRIAL.fields.distanceM}
            hint="empty: as it is mounted"
            value={distanceM}
            onChange={setDistance}
            onClear={() => setDistance(null)}
          />
          <TextField
            label={COLOUR_TRIAL.fields.light.label}
            maxLength={MOST_LETTERS}
            value={light}
            onChange={setLight}
          />
          <TextField
            label={COLOUR_TRIAL.fields.unit.label}
            maxLength={MOST_LETTERS}
            value={unit}
            suggestions={[...new Set(trials.flatMap((one) => (one.unit === '' ? [] : [one.unit])))]}
            onChange={setUnit}
          />
        </div>
      </details>
      {(problem ?? live.problem) !== null && (
        <p role="alert" className={styles.problem}>
          {problem ?? live.problem}
        </p>
      )}
    </form>
  );
}
