import { z } from 'zod';
import type { Fields } from '../core/description/description';
import { shapeOf, valueSchema } from '../core/description/schema';
import type { EntryOf, TrialKind } from '../core/trials/kind';
import { id } from './fields';

const setAsideReason = z.string().trim().min(1, 'expected a reason').max(200).nullable();

/** What checks a trial of a kind: its values, and nothing else. */
export const trialSchema = <F extends Fields, N extends string>({ fields }: TrialKind<F, N>) =>
  z.strictObject({ id, ...shapeOf(fields), setAsideReason });

/** What checks one while it is entered. */
export function entrySchema<F extends Fields, N extends string>({
  fields,
  readOff,
}: TrialKind<F, N>) {
  const isReadOff = (name: string) => readOff.some((one) => one === name);
  return z.strictObject(
    Object.fromEntries(
      Object.entries(fields).map(([name, field]) => {
        // Words that are not there yet are no fault while one is still typing.
        const schema = valueSchema(field.is === 'text' ? { ...field, isNeeded: undefined } : field);
        return [name, isReadOff(name) ? schema.nullable() : schema];
      }),
    ),
  ) as unknown as z.ZodType<EntryOf<TrialKind<F, N>>>;
}
