import type { ReactNode } from 'react';
import type { RobotRecord } from '../../formats/records';
import styles from './Bench.module.css';
import { StandInPanel } from './standIn/StandInPanel';
import { useStandInFact } from './standIn/useStandIn';

/** The procedures of the Bench, in the order in which a season begins. */
export const PROCEDURES = [
  { id: 'directions', label: 'Directions' },
  { id: 'still', label: 'Still check' },
  { id: 're-zero', label: 'Get rid of drift' },
  { id: 'turns', label: 'Turns' },
  { id: 'schools', label: 'Ways to turn' },
  { id: 'square', label: 'Square path' },
  { id: 'run-log', label: 'Correct a run' },
  { id: 'calibrations', label: 'Calibrations' },
] as const;

export type ProcedureId = (typeof PROCEDURES)[number]['id'];

export interface BenchProps {
  robot: RobotRecord;
  robots: RobotRecord[];
}

/** Every procedure's frame: the way to the others, its own work, and the stand-in at hand. */
export function BenchLayout({
  robot,
  robots,
  current,
  children,
}: BenchProps & { current: ProcedureId; children: ReactNode }) {
  const standInRobotId = useStandInFact((seen) => seen.robotId);
  const standsInFor = robots.find(({ id }) => id === standInRobotId) ?? robots[0];
  const suffix = robot.id === robots[0]?.id ? '' : `?robot=${robot.id}`;
  return (
    <>
      <h1 className="visually-hidden">{PROCEDURES.find(({ id }) => id === current)?.label}</h1>
      <nav aria-label="Procedures" className={styles.nav}>
        {PROCEDURES.map(({ id, label }) => (
          <a
            key={id}
            href={`/bench/${id}${suffix}`}
            aria-current={id === current ? 'page' : undefined}
          >
            {label}
          </a>
        ))}
        <span className={styles.robots}>
          <strong>{robot.name}</strong>
          {robots
            .filter(({ id }) => id !== robot.id)
            .map(({ id, name }) => (
              <a key={id} href={`/bench/${current}?robot=${id}`}>
                {name}
              </a>
            ))}
        </span>
      </nav>
      <div className={styles.layout}>
        <div className={styles.work}>{children}</div>
        <div className={styles.side}>
          <StandInPanel
            robotName={standsInFor?.name ?? robot.name}
            signs={(standsInFor ?? robot).robot.signs}
          />
        </div>
      </div>
    </>
  );
}
