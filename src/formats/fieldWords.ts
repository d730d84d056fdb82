import { exactValue, nameWords } from '../core/description/words';
import { colourText } from '../core/colour/name';
import { shortNumber } from '../core/text/quantities';
import { describedAt } from './describedAt';

/** Names of parts of a record, as the screens call them. */
const PARTS: Record<string, string> = {
  robot: '',
  table: '',
  match: '',
  launches: 'launch',
  body: 'body',
  motors: 'motors',
  errors: 'assumed to be wrong',
  signs: 'direction',
  build: 'build',
  units: 'unit',
  behaviour: '',
  place: '',
  ports: 'port',
  missions: 'mission',
  walls: 'wall',
  lines: 'line',
  fields: 'coloured field',
  pose: '',
  window: 'window',
  trials: 'trial',
  conditions: '',
  settings: '',
};

/** Names of values that nothing describes, as the screens call them. */
const NAMES: Record<string, string> = {
  timeZone: 'time zone',
  driftCures: 'ways to get rid of drift',
  isPossible: 'can be done',
  changeOversS: 'change-overs before it, s',
  routeId: 'route',
  floorColour: 'colour of the floor',
  placedBy: 'placed by',
  happenedAt: 'when',
  setAsideReason: 'set aside, reason',
};

const spaced = (name: string): string =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

const nameOf = (key: string): string => NAMES[key] ?? spaced(key);

/** What the field at a path of a record is called on the screens: "body, to the front". */
export function fieldName(path: string, record: unknown): string {
  const keys = path.split('.');
  const described = describedAt(path, record);
  const lastName = (key: string) =>
    described === undefined ? (PARTS[key] ?? nameOf(key)) : nameWords(described);
  let here: unknown = record;
  const words: string[] = [];
  keys.forEach((key, i) => {
    const inner = (here as Record<string, unknown> | undefined)?.[key];
    if (/^\d+$/.test(key)) {
      const { name, label } = (inner ?? {}) as { name?: string; label?: string };
      words[words.length - 1] += ` ${name ?? label ?? Number(key) + 1}`;
    } else if (i === keys.length - 1) words.push(lastName(key));
    else if (key === 'missions' && !/^\d+$/.test(keys[i + 1] ?? '')) words.push('mission');
    else if ((PARTS[key] ?? key) !== '') words.push(PARTS[key] ?? key);
    here = inner;
  });
  return words.filter((word) => word !== '').join(', ');
}

/** A value of a record with its unit, as the screens show it. */
export function fieldValue(path: string, value: unknown, record: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  const described = describedAt(path, record);
  if (described !== undefined) return exactValue(described, value);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string') return /colour$/i.test(path) ? colourText(value) : value;
  if (typeof value === 'number') return shortNumber(value, 4);
  if (Array.isArray(value)) {
    const names = value.map((one, i) => {
      const { name, label } = Object(one) as { name?: string; label?: string };
      return typeof one === 'string' ? one : (name ?? label ?? `no. ${i + 1}`);
    });
    return names.length === 0 ? 'none' : `${names.length}: ${names.join(', ')}`;
  }
  const { name, label } = value as { name?: string; label?: string };
  return name ?? label ?? 'there';
}
