import { ROLLED_BY_HAND, TARGET, TURNED_BY_HAND } from '../../../core/standIn/byHand';
import { useState } from 'react';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { StandInAction } from '../../../core/standIn/act';
import type { StandInView } from '../../../core/standIn/view';
import { clock } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { ColourField } from '../../../ui/fields/ColourField';
import { ValueField } from '../../../ui/fields/ValueField';
import { doWithStandIn, standInFile } from './standInStore';
import styles from './StandIn.module.css';
import { useStandIn } from './useStandIn';
import { fetchedLater } from '../../../ui/fetchedLater';

/** Computed with the simulator: fetched only when somebody asks. */
const TruthTable = fetchedLater(async () => (await import('./TruthTable')).TruthTable);

function Power({ view, act }: { view: StandInView; act(action: StandInAction): void }) {
  if (!view.on) {
    return (
      <div className={styles.row}>
        <Button onClick={() => act({ do: 'power-on', inHand: false })}>
          Switch on, lying still
        </Button>
        <Button onClick={() => act({ do: 'power-on', inHand: true })}>Switch on in the hand</Button>
      </div>
    );
  }
  return (
    <div className={styles.row}>
      <Button onClick={() => act({ do: 'power-off' })}>Switch off</Button>
      <Button onClick={() => act({ do: 'zero' })}>Set heading to 0</Button>
    </div>
  );
}

function ByHand({ view, act }: { view: StandInView; act(action: StandInAction): void }) {
  const [angleRad, setAngle] = useState(radiansFromDegrees(90));
  const [distanceM, setDistance] = useState(0.3);
  const [targetM, setTarget] = useState(0.5);
  const [card, setCard] = useState('#c81e1e');
  return (
    <details className={styles.hand}>
      <summary>Move it, tape target, battery</summary>
      <div className={styles.line}>
        <ValueField inline field={TURNED_BY_HAND} value={angleRad} onChange={setAngle} />
        <Button onClick={() => act({ do: 'turn-by-hand', angleRad })}>Turn by hand</Button>
      </div>
      <div className={styles.line}>
        <ValueField inline field={ROLLED_BY_HAND} value={distanceM} onChange={setDistance} />
        <Button onClick={() => act({ do: 'roll-by-hand', distanceM })}>Roll by hand</Button>
      </div>
      <div className={styles.line}>
        <ValueField inline field={TARGET} value={targetM} onChange={setTarget} />
        <Button
          onClick={() =>
            act({ do: 'set-target', distanceM: view.targetM === null ? targetM : null })
          }
        >
          {view.targetM === null ? 'Put a target there' : 'Take the target away'}
        </Button>
      </div>
      <div className={styles.line}>
        <ColourField label="Colour of a card under it" value={card} onChange={setCard} />
        <Button onClick={() => act({ do: 'lay-card', colour: view.card === null ? card : null })}>
          {view.card === null ? 'Lay the card under it' : 'Take the card away'}
        </Button>
      </div>
      <div className={styles.row}>
        <Button onClick={() => act({ do: 'touch' })}>Bump it</Button>
        <Button onClick={() => act({ do: 'put-back' })}>Back to the start</Button>
        <Button onClick={() => act({ do: 'press-button', down: !view.buttonDown })}>
          {view.buttonDown ? 'Let the button go' : 'Press the button'}
        </Button>
        <Button onClick={() => act({ do: 'charge' })}>Full battery</Button>
      </div>
      <a href={standInFile()} download="stand-in.jsonl">
        Its last ten minutes as a file
      </a>
    </details>
  );
}

export const standInStateText = (view: StandInView | null): string =>
  view === null
    ? 'looking for it …'
    : !view.on
      ? 'switched off'
      : view.moving
        ? 'moving'
        : `standing, on for ${clock(view.onForS ?? 0)}`;

/** What can be done with the stand-in robot. */
export function StandInControls() {
  const { view, truth, problem } = useStandIn();
  const [refused, setRefused] = useState<string | null>(null);
  const act = (action: StandInAction) => {
    setRefused(null);
    void doWithStandIn(action).then(setRefused);
  };
  return (
    <>
      {view !== null && (
        <>
          <Power view={view} act={act} />
          <ByHand view={view} act={act} />
          <div className={styles.foot}>
            <Choice
              inline
              label="How fast its time runs"
              value={String(view.clockRate) as '0' | '1' | '10'}
              options={[
                { value: '1', label: 'real time' },
                { value: '10', label: '×10' },
                ...(view.clockRate === 0 ? [{ value: '0' as const, label: 'stepped' }] : []),
              ]}
              onChange={(rate) => act({ do: 'set-clock', rate: Number(rate) as 0 | 1 | 10 })}
            />
            {truth === null && (
              <Button look="bare" onClick={() => act({ do: 'reveal' })}>
                Reveal its secrets
              </Button>
            )}
          </div>
        </>
      )}
      {truth !== null && <TruthTable truth={truth} />}
      {(refused ?? problem) !== null && (
        <p className={styles.problem} role="alert">
          {refused ?? problem}
        </p>
      )}
    </>
  );
}
