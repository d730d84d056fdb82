import { QUANTITIES } from '../quantities/quantities';
import { describedFields, type AnyValue, type Description } from './description';
import { slotsOf, type Phrase, type Slot } from './phrase';

/** How things that stand elsewhere are called by their id, where that is no name already. */
export type Names = Readonly<Record<string, ((id: string) => string) | undefined>>;

const optionWord = (options: Readonly<Record<string, string>>, value: unknown): string =>
  options[String(value)] ?? String(value);

/** A value as a sentence says it. */
export function slotWords(
  { quantity, part, words }: Slot,
  field: AnyValue,
  value: unknown,
  names?: Names,
): string {
  if (value === null) return '–';
  if (field.is === 'choice' || field.is === 'numeral')
    return optionWord(words ?? field.options, value);
  if (field.is === 'flag') return value === true ? field.yes : field.no;
  if (field.is === 'reference') {
    const id = String(value);
    return field.also?.[id] ?? names?.[field.to]?.(id) ?? id;
  }
  if (field.is === 'text') return String(value);
  if (field.is === 'part') return field.words(value);
  const si = Number(value);
  if (typeof part === 'object') return si < 0 ? part.minus : part.plus;
  return QUANTITIES[quantity ?? field.quantity].text(part === 'size' ? Math.abs(si) : si);
}

/** A record as one plain sentence with its values, in the team's units. */
export function saidByPhrase({ phrase, ...of }: Description, values: object, names: Names): string {
  const record = values as Readonly<Record<string, unknown>>;
  const fields = describedFields(of);
  const wordsOf = (parts: Phrase): string =>
    parts
      .map((part) => {
        if (typeof part === 'string') return part;
        if ('ifSet' in part) return record[part.ifSet] === undefined ? '' : wordsOf(part.phrase);
        const field = fields[part.slot];
        return field === undefined ? '' : slotWords(part, field, record[part.slot], names);
      })
      .join('');
  return wordsOf(phrase(record as never));
}

/** A field as its slot in a sentence shows it: by another name, as a measure of something else. */
export function shownIn(phrase: Phrase, name: string, field: AnyValue): AnyValue {
  const slot = slotsOf(phrase).find((one) => one.slot === name && typeof one.part !== 'object');
  if (slot === undefined) return field;
  const label = slot.label ?? field.label;
  return field.is === 'number'
    ? { ...field, label, quantity: slot.quantity ?? field.quantity }
    : { ...field, label };
}

/** What a value is called within a sentence. */
export const nameWords = ({ label }: AnyValue): string =>
  label.charAt(0).toLowerCase() + label.slice(1);

/** A value exactly: for differences that a sentence rounds away. */
export const exactValue = (field: AnyValue, value: unknown, names?: Names): string =>
  field.is === 'number'
    ? QUANTITIES[field.quantity].exact(Number(value))
    : slotWords({ slot: '' }, field, value, names);

/** The same with its name. */
export const exactWords = (field: AnyValue, value: unknown, names: Names): string =>
  `${nameWords(field)} ${value === undefined ? 'not set' : exactValue(field, value, names)}`;

/** Parts with a shape of their own are the same where all that they say is. */
const isSame = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === 'object' && JSON.stringify(a) === JSON.stringify(b));

/** The values in which two records of a kind differ, exactly: for differences that a sentence rounds away. */
export function differingWords(
  before: [of: Description, record: object],
  after: [of: Description, record: object],
  names: Names,
): { before: string; after: string } {
  const [[, old], [of, now]] = [before, after];
  const fields = Object.entries(describedFields(of)).filter(
    ([name]) => !isSame(Reflect.get(old, name), Reflect.get(now, name)),
  );
  const say = ([{ phrase }, record]: [Description, object]) => {
    const said = phrase(record as never);
    return fields
      .map(([name, field]) =>
        exactWords(shownIn(said, name, field), Reflect.get(record, name), names),
      )
      .join(', ');
  };
  return { before: say(before), after: say(after) };
}

/** Two records of a kind in words that tell them apart; null where nothing differs. */
export function changeWords(
  before: [of: Description, record: object],
  after: [of: Description, record: object],
  names: Names,
): { before: string; after: string } | null {
  const values = differingWords(before, after, names);
  const [old, now] = [saidByPhrase(...before, names), saidByPhrase(...after, names)];
  if (old !== now) return { before: old, after: now };
  if (values.before === values.after) return null;
  return { before: `${old}: ${values.before}`, after: `${now}: ${values.after}` };
}
