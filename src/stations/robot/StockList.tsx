import { availableDevices } from '../../core/devices/stock';
import type { Device } from '../../core/devices/device';
import type { StockDeviceRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import styles from './RobotStation.module.css';

interface Props {
  stock: readonly StockDeviceRecord[];
  robots: readonly { units: readonly Device[] }[];
  onTake(unit: Device): void;
  onThrowAway(entry: StockDeviceRecord): void;
}

/** What the team has besides: units that are on no robot, each with what is known of it. */
export function StockList({ stock, robots, onTake, onThrowAway }: Props) {
  const available = availableDevices(stock, robots);
  if (available.length === 0) return null;
  return (
    <section aria-label="Stock">
      <h2>In the team’s stock</h2>
      <ul className={styles.changes}>
        {available.map((entry) => (
          <li key={entry.id}>
            {entry.unit.label}, {entry.unit.kind}{' '}
            <Button
              look="bare"
              aria-label={`Put ${entry.unit.label} on this robot`}
              onClick={() => onTake(entry.unit)}
            >
              Put it on
            </Button>
            <Button
              look="bare"
              aria-label={`Throw ${entry.unit.label} away`}
              onClick={() => onThrowAway(entry)}
            >
              Throw it away
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
