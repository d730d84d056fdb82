import { useSyncExternalStore, type ReactNode } from 'react';
import type { RobotRecord } from '../../formats/records';
import { classes } from '../../ui/classes';
import styles from './Bench.module.css';
import { folding } from './panel/folding';
import type { Group } from './procedure';
import { RobotPanel } from './panel/RobotPanel';

/** A procedure as its menu shows it. */
export interface MenuEntry {
  id: string;
  title: string;
  group: Group;
}

export interface ShellProps {
  robot: RobotRecord;
  robots: RobotRecord[];
  /** Which page of the Bench this is. */
  current: string;
  menu: readonly MenuEntry[];
}

const OVERVIEW = 'overview';
const addressOf = (id: string) => (id === OVERVIEW ? '/bench' : `/bench/${id}`);

/** A short menu: the overview, and what belongs to the same group as the procedure that is open. */
function Menu({ robot, robots, current, menu }: ShellProps) {
  const suffix = robot.id === robots[0]?.id ? '' : `?robot=${robot.id}`;
  const group = menu.find(({ id }) => id === current)?.group;
  const link = (id: string, title: string) => (
    <a
      key={id}
      href={`${addressOf(id)}${suffix}`}
      aria-current={id === current ? 'page' : undefined}
    >
      {title}
    </a>
  );
  return (
    <nav aria-label="Procedures" className={classes(styles.nav, 'no-print')}>
      {link(OVERVIEW, 'Overview')}
      {group !== undefined && <span className={styles.group}>{group}</span>}
      {menu.filter((entry) => entry.group === group).map(({ id, title }) => link(id, title))}
      {link('calibrations', 'Calibrations')}
      <span className={styles.robots}>
        <strong>{robot.name}</strong>
        {robots
          .filter(({ id }) => id !== robot.id)
          .map(({ id, name }) => (
            <a key={id} href={`${addressOf(current)}?robot=${id}`}>
              {name}
            </a>
          ))}
      </span>
    </nav>
  );
}

/** Every page of the Bench: the way to the others, its own work, and the stand-in at hand. */
export function BenchShell({ children, ...props }: ShellProps & { children: ReactNode }) {
  const { robot } = props;
  const isFolded = useSyncExternalStore(folding.watch, folding.isFolded, () => false);
  return (
    <>
      <Menu {...props} />
      <div className={classes(styles.layout, isFolded && styles.folded)}>
        <div className={styles.work}>{children}</div>
        <div className={styles.side}>
          <RobotPanel robot={robot} />
        </div>
      </div>
    </>
  );
}
