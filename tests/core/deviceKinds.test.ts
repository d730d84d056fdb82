import { describe, expect, it } from 'vitest';
import { newDevice } from '../../src/core/devices/newDevice';
import { KINDS } from '../../src/core/devices/registry';
import { deviceSchema } from '../../src/core/devices/device';
import { fieldName, fieldValue } from '../../src/formats/fieldWords';
import { describeIssue } from '../../src/formats/issues';
import { holdsItsLimits } from '../support/describedValues';

describe.each(KINDS.map((kind) => [kind.kind, kind] as const))('a unit: %s', (_, kind) => {
  const unit = newDevice('u', kind.kind, []);
  const withValue = (name: string, value: unknown) => ({
    ...unit,
    behaviour: { ...unit.behaviour, [name]: value },
  });

  it('takes the values of its kind up to their limits, and refuses others by their name', () => {
    holdsItsLimits(
      kind.behaviour,
      (name, value) => deviceSchema.safeParse(withValue(name, value)).success,
    );
    const issue = deviceSchema.safeParse(withValue('temper', 1)).error?.issues[0];
    expect(issue && describeIssue(issue)).toBe('behaviour.temper: there is no such field');
  });

  it('names a value that two records have otherwise as its field does, in the team’s units', () => {
    for (const [name, field] of Object.entries(kind.behaviour)) {
      const path = `units.0.behaviour.${name}`;
      const record = { units: [unit] };
      expect(fieldName(path, record).toLowerCase()).toContain(field.label.toLowerCase());
      const value: unknown = Reflect.get(unit.behaviour, name);
      expect(fieldValue(path, value, record)).not.toMatch(/NaN|rad\b|undefined/);
    }
  });
});
