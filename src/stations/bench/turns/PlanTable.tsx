import { degrees } from '../../../core/text/quantities';
import { trialPlan, type PlannedTurn } from '../../../core/turns/trialPlan';
import { USUAL_ANGLES_RAD } from '../../../core/turns/turnStudy';
import { notAside } from '../trials/openedList';
import type { TurnTrials } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { useNarrow } from '../../../ui/browser/useNarrow';
import styles from '../Bench.module.css';
import type { TurnSetting } from './TurnEntry';

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
      <table className={styles.table} aria-label="Plan">
        <thead>
          <tr>
            <th>Told</th>
            {plan.rates.map((rate) => (
              <th key={rate}>at {degrees(rate, 0)}/s</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.direction}${row.targetRad}`}>
              <td>
                {degrees(row.targetRad, 0)} {row.direction}
              </td>
              {plan.rates.map((rate) => {
                const done = at(row, rate)?.done ?? 0;
                return (
                  <td key={rate}>
                    <Button
                      look="bare"
                      aria-label={`Set up ${degrees(row.targetRad, 0)} ${row.direction} at ${degrees(rate, 0)}/s, ${done} of ${plan.each} made`}
                      onClick={() =>
                        onSetting({
                          ...setting,
                          targetRad: row.targetRad,
                          direction: row.direction,
                          rateRadPerS: rate,
                        })
                      }
                    >
                      {done >= plan.each ? '✓' : '○'} {done} of {plan.each}
                    </Button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
