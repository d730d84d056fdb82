import type { Fields } from '../../../core/description/description';
import { slotWords } from '../../../core/description/words';
import type { TrialKind, TrialOf } from '../../../core/trials/kind';
import type { Column } from '../../../ui/Table';

/** The columns of a table of trials: a value each, as it is described. */
export const trialColumns = <F extends Fields, N extends string>({
  fields,
}: TrialKind<F, N>): Column<{ trial: TrialOf<TrialKind<F, N>> }>[] =>
  Object.entries(fields).map(([name, field]) => {
    const valueOf = (trial: object) => Reflect.get(trial, name) as number | string;
    return {
      title: field.heading ?? field.label,
      number: field.is === 'number',
      sortBy: ({ trial }) => valueOf(trial),
      cell: ({ trial }) => slotWords({ slot: name }, field, valueOf(trial)),
    };
  });
