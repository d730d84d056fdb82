import type { Fields } from '../../../core/description/description';
import type { TrialKind, TrialOf } from '../../../core/trials/kind';
import { trialColumns } from './trialColumns';
import { FoldedTable } from './TrialParts';

interface Props<F extends Fields, N extends string> {
  label: string;
  kind: TrialKind<F, N>;
  trials: readonly (TrialOf<TrialKind<F, N>> & Aside)[];
  /** Ask why one is to be set aside. */
  ask(trial: TrialOf<TrialKind<F, N>> & Aside): void;
  replace(trial: TrialOf<TrialKind<F, N>> & Aside): void;
}

interface Aside {
  id: string;
  setAsideReason: string | null;
}

/** All trials of a list, a column for each value as it is described; each can be set aside, and taken back. */
export const DescribedTable = <F extends Fields, N extends string>({
  label,
  kind,
  trials,
  ask,
  replace,
}: Props<F, N>) => (
  <FoldedTable
    label={label}
    what={kind.what}
    trials={trials}
    onSetAside={ask}
    onTakeBack={(trial) => replace({ ...trial, setAsideReason: null })}
    columns={trialColumns(kind)}
  />
);
