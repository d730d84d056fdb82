import { useSyncExternalStore, type ReactNode } from 'react';
import type { CreepFirst } from '../../core/gyro/creepFirst';
import { capitalised } from '../../core/text/capitalised';
import type { RestsOn } from '../../core/sources/restsOnSentence';
import type { RobotRecord } from '../../formats/records';
import { Notice } from '../../ui/Notice';
import { classes } from '../../ui/classes';
import styles from './Bench.module.css';
import menuStyles from './BenchMenu.module.css';
import { RestsOnFold } from '../RestsOnFold';
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
  /** What the figures of the robot rest on. */
  rests: readonly RestsOn[];
  /** What comes before this page, where a heading that creeps would spoil it. */
  first: CreepFirst | null;
}

/** Pages that belong to no group. */
const OVERVIEW = { id: 'overview', title: 'Overview' };
const CALIBRATIONS = { id: 'calibrations', title: 'Calibrations' };

const addressOf = (id: string) => (id === OVERVIEW.id ? '/bench' : `/bench/${id}`);

/** A short menu: the overview, and what belongs to the same group as the procedure that is open. */
function Menu({ robot, robots, current, menu }: ShellProps) {
  const suffix = robot.id === robots[0]?.id ? '' : `?robot=${robot.id}`;
  const group = menu.find(({ id }) => id === current)?.group;
  const here = [OVERVIEW, CALIBRATIONS, ...menu].find(({ id }) => id === current)?.title;
  const link = ({ id, title }: Pick<MenuEntry, 'id' | 'title'>) => (
    <a
      key={id}
      href={`${addressOf(id)}${suffix}`}
      aria-current={id === current ? 'page' : undefined}
    >
      {title}
    </a>
  );
  return (
    <>
      {/* On a phone one line: what is open, and a button for the others. */}
      <button type="button" popoverTarget="procedures" className={menuStyles.opener}>
        {here} · {robot.name} <span aria-hidden="true">▾</span>
      </button>
      <nav
        id="procedures"
        popover="auto"
        aria-label="Procedures"
        className={classes(menuStyles.nav, 'no-print')}
      >
        {link(OVERVIEW)}
        {group !== undefined && <span className={menuStyles.group}>{group}</span>}
        {menu.filter((entry) => entry.group === group).map(link)}
        {link(CALIBRATIONS)}
        <span className={menuStyles.robots}>
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
    </>
  );
}

/** What has to be done before this page: it begins with it. */
const First = ({
  first,
  menu,
  robot,
}: Pick<ShellProps, 'menu' | 'robot'> & { first: CreepFirst }) => (
  <Notice tone="careful">
    {capitalised(first.why)}:{' '}
    <a href={`/bench/${first.id}?robot=${robot.id}`}>
      {menu.find(({ id }) => id === first.id)?.title}
    </a>
    . What is measured here meanwhile measures the creep as well.
  </Notice>
);

/** Every page of the Bench: the way to the others, its own work, and the stand-in at hand. */
export function BenchShell({ children, ...props }: ShellProps & { children: ReactNode }) {
  const { robot } = props;
  const isFolded = useSyncExternalStore(folding.watch, folding.isFolded, () => true);
  return (
    <>
      <Menu {...props} />
      <div className={classes(styles.layout, isFolded && styles.folded)}>
        <div className={styles.work}>
          {props.first !== null && <First first={props.first} menu={props.menu} robot={robot} />}
          {children}
        </div>
        <div className={styles.side}>
          <RobotPanel robot={robot} />
          <RestsOnFold rows={props.rests} robotId={robot.id} />
        </div>
      </div>
    </>
  );
}
