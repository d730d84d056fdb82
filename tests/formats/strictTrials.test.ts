import { expect, it } from 'vitest';
import { benchTrialsRecord } from '../../src/formats/benchRecords';

it.each(benchTrialsRecord.options.map(({ shape }) => [shape.procedure.value, shape] as const))(
  'of a list of %s an unknown field is refused by its name, in its circumstances and in a trial',
  (_procedure, { conditions, trials }) => {
    for (const schema of [conditions, trials.element]) {
      const { issues = [] } = schema.safeParse({ wings: 2 }).error ?? {};
      expect(issues).toContainEqual(
        expect.objectContaining({ code: 'unrecognized_keys', keys: ['wings'] }),
      );
    }
  },
);
