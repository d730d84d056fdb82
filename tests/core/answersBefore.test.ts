import { describe, expect, it } from 'vitest';
import { catalog } from '../../src/core/catalog';
import { recordedText } from '../support/recorded';

interface Answered {
  name: string;
  input: unknown;
  answer: unknown;
}

/** Random legal inputs, and what Corvat answered before its kinds were described in one place. */
const answered = JSON.parse(recordedText('calc-answers.json')) as Answered[];

/** As it was kept: what JSON holds, to ten digits. */
const kept = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_key, one: unknown) =>
    typeof one === 'number' ? Number(one.toPrecision(10)) : one,
  );

describe('what a procedure has answered it answers still, key by key', () => {
  it.each(catalog.map((procedure) => [procedure.name, procedure] as const))('%s', (name, one) => {
    const own = answered.filter((each) => each.name === name);
    expect(own.length).toBeGreaterThan(2);
    for (const { input, answer } of own) expect(kept(one.run(input))).toMatchObject(answer as object);
  });
});
