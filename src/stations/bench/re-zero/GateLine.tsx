import { useEffect, useState } from 'react';
import { gateSentence } from '../../../core/gyro/gateSentence';
import { standstillGate, type Gate } from '../../../core/gyro/still/standstill';
import type { RawReading } from '../../../core/standIn/readings';
import { Button } from '../../../ui/Button';
import styles from '../Bench.module.css';
import { doWithStandIn, listenToStandIn } from '../standIn/standInStore';
import { useStandInIsOn } from '../standIn/useStandIn';

/** Five seconds of them. */
const KEPT = 250;

/** The gate before every zeroing: quiet, wheels still, finger off; and what is lost without it. */
export function GateLine() {
  const isOn = useStandInIsOn();
  const [gate, setGate] = useState<Gate | null>(null);
  useEffect(() => {
    let recent: RawReading[] = [];
    return listenToStandIn((readings) => {
      recent = [...recent, ...readings].slice(-KEPT);
      setGate(standstillGate(recent));
    });
  }, []);
  if (isOn !== true) return null;
  return (
    <section aria-label="Standstill gate" className={styles.actions} data-testid="gate">
      <span>{gate === null ? 'Looking whether it stands still …' : gateSentence(gate)}</span>
      <Button disabled={gate?.open !== true} onClick={() => void doWithStandIn({ do: 'zero' })}>
        Set to zero
      </Button>
    </section>
  );
}
