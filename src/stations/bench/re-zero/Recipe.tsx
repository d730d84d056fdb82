import { TAKES } from '../../../core/robot/description';
import { useState } from 'react';
import type { StrategyRecord } from '../../../core/gyro/rezero';
import type { RezeroStrategy } from '../../../core/robot/rezeroStrategies';
import type { StandInAction } from '../../../core/standIn/act';
import { clock } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import { doWithStandIn } from '../standIn/standInStore';
import { GateLine } from './GateLine';

const ON_STAND_IN: Partial<Record<RezeroStrategy, { label: string; actions: StandInAction[] }>> = {
  restart: {
    label: 'Restart the stand-in, lying still',
    actions: [{ do: 'power-off' }, { do: 'power-on', inHand: false }],
  },
  reconnect: {
    label: 'Unplug and plug in the stand-in’s sensor',
    actions: [{ do: 'reconnect-sensor', inHand: false }],
  },
  're-initialise': {
    label: 'Let the stand-in’s program start its sensor anew',
    actions: [{ do: 'reinitialise-sensor', inHand: false }],
  },
};

/** What takes longer than twice its time has failed. */
const PATIENCE = 2;

interface RecipeProps {
  record: StrategyRecord;
  /** What it takes, s; null: as long as this sensor has to stand still. */
  takesS: number | null;
  onTakes(takesS: number): void;
  onNotPossible(): void;
}

/** The chosen way step by step, on the stand-in with one button. */
export function Recipe({ record, takesS, onTakes, onNotPossible }: RecipeProps) {
  const [typedS, setTyped] = useState<number | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const onStandIn = ON_STAND_IN[record.facts.school];
  const act = async (actions: StandInAction[]) => {
    for (const action of actions) {
      const problem = await doWithStandIn(action);
      setRefused(problem);
      if (problem !== null) return;
    }
  };
  return (
    <section aria-label="Steps" className={styles.do}>
      <h2>{record.facts.title}</h2>
      <ol className={styles.steps}>
        {record.facts.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {takesS !== null && (
        <p data-testid="gives-up">
          {record.facts.givesUp(clock(record.facts.takesS === null ? takesS : PATIENCE * takesS))}
        </p>
      )}
      <div className={styles.fields}>
        {record.facts.takesS !== null && (
          <ValueField
            key={record.facts.school}
            field={TAKES}
            value={typedS ?? record.facts.takesS}
            onChange={setTyped}
          />
        )}
        {typedS !== null && typedS !== record.facts.takesS && (
          <Button look="strong" onClick={() => onTakes(typedS)}>
            Keep this time
          </Button>
        )}
        <Button onClick={onNotPossible}>This kit cannot do it</Button>
      </div>
      {onStandIn !== undefined && (
        <div className={styles.actions}>
          <Button onClick={() => void act(onStandIn.actions)}>{onStandIn.label}</Button>
        </div>
      )}
      {refused !== null && (
        <p role="alert" className={styles.problem}>
          {refused}
        </p>
      )}
      <GateLine />
    </section>
  );
}
