import { channelsOf } from '../../../core/devices/channels';
import type { Robot } from '../../../core/robot/robot';
import {
  CONDITION,
  type Condition,
  type Reading,
  type Single,
} from '../../../core/steps/condition/condition';
import { quantityOf, readingWords, sideShown, statesOf } from '../../../core/steps/condition/words';
import { QUANTITIES } from '../../../core/quantities/quantities';
import { Button } from '../../../ui/Button';
import { ValueField } from '../../../ui/fields/ValueField';
import type { EditorProps } from '../../../ui/fields/PhraseFields';
import styles from './ConditionEditor.module.css';

interface Props extends EditorProps {
  robot: Robot;
}

/** All that a program of the robot can look at. */
function readingsOf({ units }: Robot): Reading[] {
  const pluggedIn = units.filter(({ port }) => port !== null);
  const readings = pluggedIn.flatMap((unit): Reading[] =>
    channelsOf(unit).flatMap(({ name, reads }) =>
      reads === null ? [] : [{ unit: unit.label, channel: name }],
    ),
  );
  const motors = pluggedIn
    .filter(({ kind }) => kind.endsWith('motor'))
    .map(({ label }) => ({ motor: label }));
  return [...readings, 'heading', 'time', 'volts', ...motors];
}

const ISES = { above: 'or more', below: 'or less', changed: 'of change', still: 'still' } as const;

/** With which a limit begins. */
const USUAL_LIMIT_S = 5;

/** A value that such a reading may have. */
function beginning(reading: Reading): Single {
  const value = typeof reading === 'object' && 'unit' in reading ? 0.15 : 1;
  return { reading, is: statesOf(reading) === null ? 'below' : 'above', value, confirmations: 1 };
}

/** By when it must have come true, where that is set. */
function WithinField({ single, onChange }: { single: Single; onChange(single: Single): void }) {
  const { timeoutS, ...open } = single;
  if (timeoutS === undefined) {
    return (
      <Button
        look="bare"
        title="It has failed when it has not come true by then"
        onClick={() => onChange({ ...single, timeoutS: USUAL_LIMIT_S })}
      >
        in time
      </Button>
    );
  }
  return (
    <>
      {', within '}
      <ValueField
        inline
        field={CONDITION.timeoutS}
        value={timeoutS}
        onChange={(seconds) => onChange({ ...single, timeoutS: seconds })}
      />
      {' or it has failed'}
      <Button look="bare" onClick={() => onChange(open)}>
        no limit
      </Button>
    </>
  );
}

function SingleEditor({
  single,
  robot,
  onChange,
}: {
  single: Single;
  robot: Robot;
  onChange(single: Single): void;
}) {
  const readings = readingsOf(robot);
  const known = readings.map((one) => JSON.stringify(one));
  const own = JSON.stringify(single.reading);
  const states = statesOf(single.reading);
  const { unit } = QUANTITIES[quantityOf(single)];
  return (
    <>
      <select
        className={styles.select}
        aria-label="What is read"
        value={own}
        onChange={(event) => onChange(beginning(JSON.parse(event.target.value) as Reading))}
      >
        {!known.includes(own) && <option value={own}>{readingWords(single.reading)}</option>}
        {readings.map((reading, i) => (
          <option key={known[i]} value={known[i]}>
            {readingWords(reading)}
          </option>
        ))}
      </select>{' '}
      {states === null && (
        <ValueField
          inline
          field={CONDITION.value}
          unit={unit}
          value={single.value}
          onChange={(value) => onChange({ ...single, value })}
        />
      )}{' '}
      <select
        className={styles.select}
        aria-label="Under or over"
        value={sideShown(single)}
        onChange={(event) =>
          onChange({
            ...single,
            is: sideShown({ ...single, is: event.target.value as Single['is'] }),
          })
        }
      >
        {(states === null
          ? Object.entries(ISES)
          : (['above', 'below'] as const).map((is) => [is, states[is]] as const)
        ).map(([is, words]) => (
          <option key={is} value={is}>
            {words}
          </option>
        ))}
      </select>
      {', seen '}
      <ValueField
        inline
        field={CONDITION.confirmations}
        value={single.confirmations}
        onChange={(confirmations) => onChange({ ...single, confirmations })}
      />
      <WithinField single={single} onChange={onChange} />
    </>
  );
}

/** What else there is of a condition: several, of which all or any hold. */
const partsOf = (condition: Condition): { every: boolean; of: Condition[] } =>
  'all' in condition
    ? { every: true, of: condition.all }
    : 'any' in condition
      ? { every: false, of: condition.any }
      : { every: false, of: [condition] };

const joined = (every: boolean, of: readonly Condition[]): Condition | undefined =>
  of.length < 2 ? of[0] : every ? { all: [...of] } : { any: [...of] };

/** A condition as a phrase: a reading, or several joined by “and” or by “or”. */
export function ConditionEditor({ label, value, isOptional, robot, onChange }: Props) {
  const first = readingsOf(robot)[0] ?? 'time';
  if (value === undefined) {
    return (
      <Button look="bare" aria-label={label} onClick={() => onChange(beginning(first))}>
        add a condition
      </Button>
    );
  }
  const { every, of } = partsOf(value as Condition);
  const withPart = (i: number, part: Condition | null) =>
    onChange(
      joined(
        every,
        of.flatMap((one, k) => (k !== i ? [one] : part === null ? [] : [part])),
      ),
    );
  return (
    <span role="group" aria-label={label}>
      {of.map((part, i) => (
        <span key={i}>
          {i > 0 && (
            <select
              className={styles.select}
              aria-label="And or or"
              value={every ? 'and' : 'or'}
              onChange={(event) => onChange(joined(event.target.value === 'and', of))}
            >
              <option>or</option>
              <option>and</option>
            </select>
          )}{' '}
          {'reading' in part ? (
            <SingleEditor single={part} robot={robot} onChange={(next) => withPart(i, next)} />
          ) : (
            <ConditionEditor
              label={`${label}, part ${i + 1}`}
              value={part}
              robot={robot}
              isOptional
              onChange={(next) => withPart(i, (next as Condition | undefined) ?? null)}
            />
          )}
          {(isOptional || of.length > 1) && (
            <Button
              look="bare"
              aria-label={`Remove condition ${i + 1}`}
              onClick={() => withPart(i, null)}
            >
              ×
            </Button>
          )}
        </span>
      ))}
      <Button look="bare" onClick={() => onChange(joined(every, [...of, beginning(first)]))}>
        another condition
      </Button>
    </span>
  );
}
