import { ArrowDown, ArrowUp, X } from 'lucide-react';
import { LAUNCH } from '../../../core/match/description';
import type { Launch } from '../../../core/match/match';
import { Button } from '../../../ui/Button';
import { Select } from '../../../ui/fields/Select';
import { fieldsOf } from '../../../ui/fields/recordForm';
import type { MatchRecord } from '../../../formats/records';
import type { RouteOfMatch } from './matchInWorkers';
import styles from './MatchStation.module.css';
import { SecondsField } from './SecondsField';

const F = fieldsOf<MatchRecord>();

interface Props {
  at: number;
  launches: readonly Launch[];
  launch: Launch;
  routes: readonly RouteOfMatch[];
  onChange(launch: Launch): void;
  onMove(by: 1 | -1): void;
  onRemove(): void;
}

/** A launch: which route it drives, what is mounted, what happens when it fails, and how long it takes to have it ready. */
export function LaunchItem({ at, launches, launch, routes, onChange, onMove, onRemove }: Props) {
  const route = routes.find(({ id }) => id === launch.routeId);
  const name = route?.name ?? 'a route that is gone';
  const mounted = route?.simulation?.route.mounted ?? null;
  const of = `launch ${at + 1}, ${name}`;
  const choosable = routes.filter(({ id, isArchived }) => !isArchived || id === launch.routeId);
  return (
    <li aria-label={of} className={styles.launch}>
      <div className={styles.launchHead}>
        <span className={styles.place} aria-hidden="true">
          {at + 1}
        </span>
        <Select
          label="Route"
          value={launch.routeId}
          options={choosable.map(({ id, name: label }) => ({ value: id, label }))}
          onChange={(routeId) => onChange({ ...launch, routeId })}
        />
        <Button
          look="bare"
          aria-label={`Drive ${of} earlier`}
          disabled={at === 0}
          onClick={() => onMove(-1)}
        >
          <ArrowUp size={18} aria-hidden />
        </Button>
        <Button
          look="bare"
          aria-label={`Drive ${of} later`}
          disabled={at === launches.length - 1}
          onClick={() => onMove(1)}
        >
          <ArrowDown size={18} aria-hidden />
        </Button>
        <Button look="bare" aria-label={`Take ${of} away`} onClick={onRemove}>
          <X size={18} aria-hidden />
        </Button>
      </div>
      {route?.simulation === null && (
        <p className="faint">
          Nothing can be foretold of it yet:{' '}
          <a href={`/course?route=${route.id}`}>plan its way and save a version</a>.
        </p>
      )}
      <div className={styles.launchFields}>
        {mounted !== null && (
          <p className={`faint ${styles.asRoute}`}>
            It drives with “{mounted}” mounted, as its route has it.
          </p>
        )}
        <F.Value name={`match.launches.${at}.mounted`} field={LAUNCH.mounted} />
        {at > 0 && (
          <SecondsField
            of={launch.id}
            value={launch.changeOversS}
            onChange={(changeOversS) => onChange({ ...launch, changeOversS })}
          />
        )}
        <F.Value name={`match.launches.${at}.whenFailed`} field={LAUNCH.whenFailed} />
      </div>
    </li>
  );
}
