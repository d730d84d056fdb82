import { describe, expect, it } from 'vitest';
import { catalog } from '../../src/core/procedures/catalog';
import { recordedText } from '../support/recorded';

interface Answered {
  name: string;
  input: unknown;
  answer: unknown;
}

/**
 * Random legal inputs, and what Corvat answered before its kinds were described in one place; of presses among walls
 * since robots square up on those.
 */
const answered = JSON.parse(recordedText('calc-answers.json')) as Answered[];

/** As it was kept: what JSON holds, to ten digits. */
const kept = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value), (_key, one: unknown) =>
    typeof one === 'number' ? Number(one.toPrecision(10)) : one,
  );

/** Without the ids of a route's steps: of two that were the same one is another now. */
const withoutStepIds = (answer: unknown): object =>
  JSON.parse(JSON.stringify(answer), (key, one: unknown) =>
    key === 'steps' && Array.isArray(one)
      ? one.map((step: object) => ({ ...step, id: undefined }))
      : one,
  ) as object;

describe('what a procedure has answered it answers still, key by key', () => {
  const names = [...new Set(answered.map(({ name }) => name))];
  it.each(names)('%s', (name) => {
    const one = catalog.find((procedure) => procedure.name === name);
    const own = answered.filter((each) => each.name === name);
    expect(own.length).toBeGreaterThan(2);
    for (const { input, answer } of own) {
      expect(withoutStepIds(kept(one?.run(input)))).toMatchObject(withoutStepIds(answer));
    }
  });
});
