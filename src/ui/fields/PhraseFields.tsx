import { Fragment, useId, type ComponentType } from 'react';
import {
  describedFields,
  MOST_LETTERS,
  type AnyValue,
  type Description,
  type NumberValue,
  type TextValue,
} from '../../core/description/description';
import type { Phrase, Slot } from '../../core/description/phrase';
import { QUANTITIES } from '../../core/quantities/quantities';
import { Choice } from './Choice';
import { useTellInError } from './fieldsInError';
import { NumberField } from './NumberField';
import styles from './PhraseFields.module.css';

/** So many words of a choice lie side by side at most, on one line of a narrow list. */
const MOST_SIDE_BY_SIDE = 4;

interface Props {
  description: Description;
  record: object;
  /** What holds where a value is not set. */
  unset?: object;
  /** What a value may point at. */
  things?: Readonly<Record<string, readonly { id: string; name: string }[]>>;
  /** Of what has a shape of its own: how it is edited, by the name of its editor. */
  editors?: Readonly<Record<string, ComponentType<EditorProps>>>;
  /** Also what is left out has its field. */
  showsUnset?: boolean;
  onChange(name: string, value: unknown): void;
}

/** The editor of a part that has a shape of its own: undefined where it is left out. */
export interface EditorProps {
  label: string;
  value: unknown;
  /** It may be left out. */
  isOptional: boolean;
  onChange(value: unknown): void;
}

interface SlotProps<F extends AnyValue = AnyValue> {
  slot: Slot;
  field: F;
  value: unknown;
  things: NonNullable<Props['things']>;
  editors: NonNullable<Props['editors']>;
  /** It may be left out: emptied, it is. */
  isOptional: boolean;
  onChange(value: unknown): void;
}

/** A number; of a signed one its size or its side alone, the other staying as it is. */
function NumberSlot({ slot, field, value, isOptional, onChange }: SlotProps<NumberValue>) {
  const label = slot.label ?? field.label;
  const si = Number(value);
  const sign = si < 0 ? -1 : 1;
  if (typeof slot.part === 'object') {
    const { plus, minus } = slot.part;
    return (
      <Choice
        inline
        label={label}
        value={sign < 0 ? minus : plus}
        options={[plus, minus].map((word) => ({ value: word, label: word }))}
        onChange={(word) => onChange((word === minus ? -1 : 1) * Math.abs(si) + 0)}
      />
    );
  }
  const isSize = slot.part === 'size';
  const { unit } = QUANTITIES[slot.quantity ?? field.quantity];
  const most = slot.most ?? (isSize && sign < 0 ? -field.min : field.max);
  return (
    <NumberField
      inline
      label={label}
      unit={unit}
      whole={field.whole ?? false}
      min={(isSize ? 0 : field.min) * unit.limitsPerSi}
      max={most * unit.limitsPerSi}
      value={value === undefined ? null : isSize ? Math.abs(si) : si}
      {...(isOptional && { onClear: () => onChange(undefined) })}
      onChange={(next) => onChange(isSize ? sign * next + 0 : next)}
    />
  );
}

function TextSlot({
  label,
  field,
  value,
  onChange,
}: {
  label: string;
  field: TextValue;
  value: string;
  onChange(text: string): void;
}) {
  const isMissing = field.isNeeded === true && value.trim() === '';
  useTellInError(useId(), isMissing);
  return (
    <input
      className={styles.text}
      type="text"
      autoComplete="off"
      aria-label={label}
      aria-invalid={isMissing}
      placeholder={isMissing ? field.wanted : undefined}
      maxLength={MOST_LETTERS}
      value={value}
      onFocus={(event) => event.target.select()}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

/** One of a list that would be too long to lie side by side. */
function ListSlot({
  label,
  value,
  of,
  leftOut,
  onChange,
}: {
  label: string;
  value: string;
  of: readonly { id: string; name: string }[];
  /** What it is called where nothing is chosen; left out: something is. */
  leftOut?: string | undefined;
  onChange(id: string): void;
}) {
  return (
    <select
      className={styles.select}
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {leftOut !== undefined && <option value="">{leftOut}</option>}
      {!of.some(({ id }) => id === value) && (leftOut === undefined || value !== '') && (
        <option value={value}>(one that is gone)</option>
      )}
      {of.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  );
}

function SlotField(props: SlotProps) {
  const { slot, field, value, things, editors, isOptional, onChange } = props;
  const label = slot.label ?? field.label;
  if (field.is === 'number') return <NumberSlot {...props} field={field} />;
  if (field.is === 'reference') {
    const also = Object.entries(field.also ?? {}).map(([id, name]) => ({ id, name }));
    return (
      <ListSlot
        label={label}
        value={value === undefined ? '' : String(value)}
        of={[...(things[field.to] ?? []), ...also]}
        leftOut={isOptional ? field.leftOut : undefined}
        onChange={(id) => onChange(id === '' ? undefined : id)}
      />
    );
  }
  if (field.is === 'text') {
    const { isNeeded: _needed, ...asLeftOut } = field;
    return (
      <TextSlot
        {...{ label, field: isOptional ? asLeftOut : field }}
        value={value === undefined ? '' : String(value)}
        onChange={(text) => onChange(isOptional && text.trim() === '' ? undefined : text)}
      />
    );
  }
  if (field.is === 'part') {
    const Editor = editors[field.shape];
    return Editor === undefined ? null : <Editor {...{ label, value, isOptional, onChange }} />;
  }
  const isFlag = field.is === 'flag';
  const words = isFlag ? { true: field.yes, false: field.no } : (slot.words ?? field.options);
  if (isOptional || Object.keys(words).length > MOST_SIDE_BY_SIDE) {
    const of = Object.entries(words).map(([id, name]) => ({ id, name }));
    return (
      <ListSlot
        {...{ label, of }}
        value={value === undefined ? '' : String(value)}
        leftOut={isOptional ? (field.leftOut ?? 'as usual') : undefined}
        onChange={(id) => onChange(id === '' ? undefined : isFlag ? id === 'true' : id)}
      />
    );
  }
  return (
    <Choice
      inline
      label={label}
      value={String(value)}
      options={Object.entries(words).map(([name, word]) => ({ value: name, label: word }))}
      onChange={(name) => onChange(isFlag ? name === 'true' : name)}
    />
  );
}

const isSet = (record: object, name: string): boolean => Reflect.get(record, name) !== undefined;

/** Whether something about a record is left out that has a field only where that is asked for. */
export const hasUnset = (
  { optional = {} }: Pick<Description, 'optional'>,
  record: object,
  unset: object,
): boolean => Object.keys(optional).some((name) => !isSet(record, name) && !isSet(unset, name));

/** A record as its sentence, the values edited in place. */
export function PhraseFields(props: Props) {
  const {
    description,
    record,
    unset = {},
    things = {},
    editors = {},
    showsUnset = true,
    onChange,
  } = props;
  const fields = describedFields(description);
  const partsOf = (phrase: Phrase) =>
    phrase.map((part, i) => {
      if (typeof part === 'string') return part;
      if ('ifSet' in part) {
        const isShown = showsUnset || isSet(record, part.ifSet) || isSet(unset, part.ifSet);
        return isShown && <Fragment key={part.ifSet}>{partsOf(part.phrase)}</Fragment>;
      }
      const field = fields[part.slot];
      if (field === undefined) return null;
      return (
        <SlotField
          key={`${part.slot} ${i}`}
          slot={part}
          field={field}
          value={Reflect.get(record, part.slot) ?? Reflect.get(unset, part.slot)}
          things={things}
          editors={editors}
          isOptional={part.slot in (description.optional ?? {})}
          onChange={(value) => onChange(part.slot, value)}
        />
      );
    });
  return partsOf(description.phrase(record as never));
}
