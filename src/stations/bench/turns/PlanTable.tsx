import { degrees } from '../../../core/text/quantities';
import { trialPlan, type PlannedTurn } from '../../../core/turns/trialPlan';
import { USUAL_ANGLES_RAD } from '../../../core/turns/turnStudy';
import { notAside } from '../trials/openedList';
import type { TurnTrials } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { useNarrow } from '../../../ui/browser/useNarrow';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';
import type { TurnSetting } from './TurnEntry';

const nameOf = ({ targetRad, direction }: PlannedTurn): string =>
  `${degrees(targetRad, 0)} ${direction}`;

/** The turns that are worth making, how many of each were made, and each set up by one press. */
export function PlanTable({
  record,
  setting,
  isEnough,
  onSetting,
}: {
  record: TurnTrials;
  setting: TurnSetting;
  /** More trials would tell nothing new: the plan is folded away. */
  isEnough: boolean;
  onSetting(setting: TurnSetting): void;
}) {
  const isNarrow = useNarrow();
  const { wantedRad } = record.conditions;
  const used = notAside(record.trials);
  const plan = trialPlan(used, wantedRad.length > 0 ? wantedRad : USUAL_ANGLES_RAD, setting.kind);
  const rows = plan.turns.filter(({ rateRadPerS }) => rateRadPerS === plan.rates[0]);
  const at = (row: PlannedTurn, rate: number) =>
    plan.turns.find(
      ({ targetRad, direction, rateRadPerS }) =>
        targetRad === row.targetRad && direction === row.direction && rateRadPerS === rate,
    );
  return (
    <details className={styles.after} open={!isNarrow && !isEnough && plan.done < plan.wanted}>
      <summary>
        {plan.isFirst ? 'To begin with' : 'Plan'}: {plan.done} of {plan.wanted} turns made,{' '}
        {plan.each} of each; begin each facing another way
      </summary>
      <Table
        label="Plan"
        rows={rows}
        keyOf={({ direction, targetRad }) => `${direction}${targetRad}`}
        columns={[
          { title: 'Told', cell: nameOf },
          ...plan.rates.map((rate) => ({
            title: `at ${degrees(rate, 0)}/s`,
            cell: (row: PlannedTurn) => {
              const done = at(row, rate)?.done ?? 0;
              const { targetRad, direction } = row;
              return (
                <Button
                  look="bare"
                  aria-label={`Set up ${nameOf(row)} at ${degrees(rate, 0)}/s, ${done} of ${plan.each} made`}
                  onClick={() => onSetting({ ...setting, targetRad, direction, rateRadPerS: rate })}
                >
                  {done >= plan.each ? '✓' : '○'} {done} of {plan.each}
                </Button>
              );
            },
          })),
        ]}
      />
    </details>
  );
}
