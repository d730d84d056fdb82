import { lazy, Suspense, useState } from 'react';
import { degreesFromRadians, radiansFromDegrees } from '../../../core/geometry/angle';
import type { StandInAction, StandInView } from '../../../core/standIn/act';
import type { RawReading } from '../../../core/standIn/readings';
import type { RawSigns } from '../../../core/robot';
import { clock, number } from '../../../core/text/quantities';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { NumberField } from '../../../ui/NumberField';
import { CM, DEG } from '../../../ui/units';
import { doWithStandIn } from './standInStore';
import styles from './StandIn.module.css';
import { useStandIn } from './useStandIn';

/** Computed with the simulator: fetched only when somebody asks. */
const TruthTable = lazy(() => import('./TruthTable'));

function Value({ label, value, unit }: { label: string; value: string | null; unit: string }) {
  return (
    <div className={styles.value}>
      <dt>{label}</dt>
      <dd>
        {value ?? '–'}
        {value !== null && <small> {unit}</small>}
      </dd>
    </div>
  );
}

/** What the sensors read now, in Corvat's directions. */
function Readings({ latest, signs }: { latest: RawReading | null; signs: RawSigns }) {
  const shown = (value: number | undefined, decimals: number) =>
    value === undefined ? null : number(value || 0, decimals);
  return (
    <dl className={styles.readings} data-testid="stand-in-readings">
      <div className={styles.heading}>
        <dt>Heading</dt>
        <dd data-testid="stand-in-heading">
          {latest === null
            ? '–'
            : `${number(signs.heading * degreesFromRadians(latest.headingRad) || 0, 1)}°`}
        </dd>
      </div>
      <Value
        label="Left motor"
        value={shown(
          (latest && signs.leftMotor * latest.leftMotorDegrees) || (latest ? 0 : undefined),
          0,
        )}
        unit="°"
      />
      <Value
        label="Right motor"
        value={shown(
          (latest && signs.rightMotor * latest.rightMotorDegrees) || (latest ? 0 : undefined),
          0,
        )}
        unit="°"
      />
      <Value
        label="Distance"
        value={latest?.distanceM == null ? null : number(latest.distanceM * 100, 1)}
        unit="cm"
      />
      <Value label="Light" value={shown(latest?.lightPercent, 0)} unit="%" />
      <Value label="Button" value={latest === null ? null : latest.touch ? 'down' : 'up'} unit="" />
      <Value label="Battery" value={shown(latest?.volts, 2)} unit="V" />
    </dl>
  );
}

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
  return (
    <details className={styles.hand}>
      <summary>Move it, tape target, battery</summary>
      <div className={styles.line}>
        <NumberField
          inline
          label="Angle to turn by hand"
          unit={DEG}
          min={-720}
          max={720}
          value={angleRad}
          onChange={setAngle}
        />
        <Button onClick={() => act({ do: 'turn-by-hand', angleRad })}>Turn by hand</Button>
      </div>
      <div className={styles.line}>
        <NumberField
          inline
          label="Distance to roll by hand"
          unit={CM}
          min={-200}
          max={200}
          value={distanceM}
          onChange={setDistance}
        />
        <Button onClick={() => act({ do: 'roll-by-hand', distanceM })}>Roll by hand</Button>
      </div>
      <div className={styles.line}>
        <NumberField
          inline
          label="Distance of the tape target"
          unit={CM}
          min={1}
          max={300}
          value={targetM}
          onChange={setTarget}
        />
        <Button
          onClick={() =>
            act({ do: 'set-target', distanceM: view.targetM === null ? targetM : null })
          }
        >
          {view.targetM === null ? 'Put a target there' : 'Take the target away'}
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
      <a href="/api/stand-in/readings" download="stand-in.jsonl">
        Its last ten minutes as a file
      </a>
    </details>
  );
}

/** The stand-in robot, always at hand on the Bench: what it reads, and what can be done with it. */
export function StandInPanel({ robotName, signs }: { robotName: string; signs: RawSigns }) {
  const { view, latest, truth, problem } = useStandIn();
  const [refused, setRefused] = useState<string | null>(null);
  const act = (action: StandInAction) => {
    setRefused(null);
    void doWithStandIn(action).then(setRefused);
  };
  return (
    <aside className={styles.panel} aria-label="Stand-in robot" data-ready={view !== null}>
      <header>
        <h2>Stand-in for {robotName}</h2>
        <p className="faint" data-testid="stand-in-state">
          {view === null
            ? 'looking for it …'
            : !view.on
              ? 'switched off'
              : view.moving
                ? 'moving'
                : `standing, on for ${clock(view.onForS ?? 0)}`}
        </p>
      </header>
      <Readings latest={latest} signs={signs} />
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
      {truth !== null && (
        <Suspense fallback={null}>
          <TruthTable truth={truth} />
        </Suspense>
      )}
      {(refused ?? problem) !== null && (
        <p className={styles.problem} role="alert">
          {refused ?? problem}
        </p>
      )}
    </aside>
  );
}
