import { readFileSync } from 'node:fs';
import { ulid } from 'ulid';
import { describe, expect, it } from 'vitest';
import type { AnyValue } from '../../src/core/description/description';
import { columnsSentence, titleOf } from '../../src/core/trials/columns';
import { FILE_KINDS, TRIAL_KINDS } from '../../src/core/trials/registry';
import { fieldName, fieldValue } from '../../src/formats/fieldWords';
import { describeIssue } from '../../src/formats/issues';
import { readTrials } from '../../src/formats/csv/trialFile';
import { trialSchema } from '../../src/formats/trialSchema';
import { holdsItsLimits } from '../support/describedValues';

const formats = readFileSync('docs/formats/README.md', 'utf8');
/** So many of a title's unit are one of SI, told by hand. */
const PER_SI = {
  percent: 100,
  mm: 1000,
  cm: 100,
  deg: 180 / Math.PI,
  motor: 1,
  gain: 1.8 / Math.PI,
  s: 1,
  V: 1,
  v: 1,
  reading: 1,
  r: 1,
  g: 1,
  b: 1,
  h: 1,
  clear: 1,
  volts: 1,
};
const unitOf = (title: string) =>
  (/^(motor|gain)/.exec(title)?.[0] ??
    title.replace('_per_s', '').split('_').at(-1)) as keyof typeof PER_SI;

function usual(field: AnyValue): string | number | boolean {
  if (field.is === 'number') {
    const between = field.min + 0.4 * (field.max - field.min);
    return field.whole === true ? Math.round(between) : between;
  }
  if (field.is === 'flag') return true;
  return field.is === 'choice' ? (Object.keys(field.options)[0] ?? '') : 'Moss';
}

describe.each(Object.entries(TRIAL_KINDS))('a trial of the procedure %s', (procedure, kind) => {
  const fields = Object.entries(kind.fields);
  const values = Object.fromEntries(fields.map(([name, field]) => [name, usual(field)]));
  const trial = { id: ulid(), ...values, setAsideReason: null };
  const schema = trialSchema(kind);

  it('takes its values up to their limits, and refuses others by their name', () => {
    expect(schema.parse(trial)).toEqual(trial);
    holdsItsLimits(kind.fields, (name, value) => {
      return schema.safeParse({ ...trial, [name]: value }).success;
    });
    const issue = schema.safeParse({ ...trial, mood: 1 }).error?.issues[0];
    expect(issue && describeIssue(issue)).toBe('mood: there is no such field');
  });

  it('names what two screens have otherwise as its field does', () => {
    const record = { procedure, trials: [trial] };
    for (const [name, field] of fields) {
      const path = `trials.0.${name}`;
      expect(fieldName(path, record).toLowerCase()).toContain(field.label.toLowerCase());
      expect(fieldValue(path, values[name], record)).not.toMatch(/NaN|undefined/);
    }
  });
});

describe.each(Object.entries(FILE_KINDS))('a file of %s', (_name, kind) => {
  const fields = Object.entries(kind.fields);
  const values = Object.fromEntries(fields.map(([name, field]) => [name, usual(field)]));

  it('has the titles that are written down, in the unit that they end with', async () => {
    expect(formats).toContain(columnsSentence(kind));
    const titles = fields.map(([name, field]) => titleOf(name, field));
    const row = fields.map(([name, field], i) => {
      if (field.is === 'flag') return Object.keys(field.alsoWritten ?? {})[1] ?? field.yes;
      return field.is === 'number'
        ? Number(values[name]) * PER_SI[unitOf(titles[i] ?? '')]
        : values[name];
    });
    const file = new File([`${titles.join(',')}\n${row.join(',')}\n`], 'trials.csv');
    const { records, bad } = await readTrials(kind, file, () => ulid());
    expect(bad).toEqual([]);
    for (const [name, field] of fields) {
      const read: unknown = Reflect.get(records[0] ?? {}, name);
      if (field.is === 'number') expect(read).toBeCloseTo(Number(values[name]), 9);
      else expect(read).toBe(values[name]);
    }
  });
});
