import type { Mission } from '../../../core/table/table';
import { classes } from '../../../ui/classes';
import styles from './LogStation.module.css';

export const MISSION_KEYS = 'abcdefghijklmno';

const STATES = {
  true: { word: 'worked', mark: '✓', pressed: true },
  false: { word: 'failed', mark: '✕', pressed: false },
  undefined: { word: 'not said', mark: '·', pressed: 'mixed' },
} as const;

interface Props {
  missions: readonly Mission[];
  results: Readonly<Record<string, boolean>>;
  onToggle(missionId: string): void;
  /** Everything worked. */
  onAll(): void;
}

/** One large button for each mission of the route, with its key: worked, failed, not tried. */
export function MissionToggles({ missions, results, onToggle, onAll }: Props) {
  return (
    <fieldset className={styles.missions}>
      <legend className="visually-hidden">Missions</legend>
      <button
        type="button"
        className={classes(styles.mission, styles.all)}
        aria-keyshortcuts="w"
        onClick={onAll}
      >
        <span className={styles.missionMark} aria-hidden="true">
          ✓
        </span>
        <span>all worked</span>
        <kbd aria-hidden="true">w</kbd>
      </button>
      {missions.map((mission, index) => {
        const state = STATES[`${results[mission.id]}` as keyof typeof STATES];
        return (
          <button
            key={mission.id}
            type="button"
            className={classes(styles.mission, styles[`is${state.word.replace(' ', '')}`])}
            aria-pressed={state.pressed}
            aria-label={`${mission.name}: ${state.word}`}
            aria-keyshortcuts={MISSION_KEYS[index]}
            onClick={() => onToggle(mission.id)}
          >
            <span className={styles.missionMark} aria-hidden="true">
              {state.mark}
            </span>
            <span>
              {mission.name}
              <small>{state.word}</small>
            </span>
            <kbd aria-hidden="true">{MISSION_KEYS[index]}</kbd>
          </button>
        );
      })}
    </fieldset>
  );
}
