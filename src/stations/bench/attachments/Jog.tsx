import { useState } from 'react';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { Button } from '../../../ui/Button';
import { KeyHelp } from '../../../ui/page/KeyHelp';
import { useKeys } from '../../../ui/page/useKeys';
import styles from '../Bench.module.css';
import { doWithStandIn } from '../standIn/standInStore';
import { useStandInIsOn } from '../standIn/useStandIn';

const STEPS = [
  { key: '<', degrees: -10 },
  { key: ',', degrees: -1 },
  { key: '.', degrees: 1 },
  { key: '>', degrees: 10 },
];

const MEANINGS = [
  ...STEPS.map(({ key, degrees }) => ({
    keys: [key],
    does: `the stand-in’s arm ${degrees > 0 ? 'up' : 'down'} by ${Math.abs(degrees)}°`,
  })),
  { keys: ['?'], does: 'these keys' },
];

/** Moves the stand-in's arm a little, by buttons or keys, until it stands where a position is to be. */
export function Jog({ unitId }: { unitId: string }) {
  const isOn = useStandInIsOn() === true;
  const jog = (degrees: number) =>
    void doWithStandIn({ do: 'turn-attachment', unitId, angleRad: radiansFromDegrees(degrees) });
  const [isAsked, setAsked] = useState(false);
  useKeys((pressed) => {
    if (pressed === '?') {
      setAsked(true);
      return true;
    }
    const step = STEPS.find(({ key }) => key === pressed);
    if (step === undefined || !isOn) return false;
    jog(step.degrees);
    return true;
  });
  return (
    <div className={styles.actions} role="group" aria-label="Jog the stand-in’s arm">
      {STEPS.map(({ key, degrees }) => (
        <Button key={key} disabled={!isOn} onClick={() => jog(degrees)}>
          {degrees > 0 ? `+${degrees}` : `−${-degrees}`}° <kbd>{key}</kbd>
        </Button>
      ))}
      {isAsked && <KeyHelp keys={MEANINGS} onClose={() => setAsked(false)} />}
    </div>
  );
}
