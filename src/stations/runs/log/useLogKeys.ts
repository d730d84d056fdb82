import type { Mission } from '../../../core/table/table';
import { CAUSES } from '../../../core/runs/causes';
import { SHIFT_ENTER, useKeys } from '../../../ui/page/useKeys';
import { allWorked, nextName, toggleMission, workedAsAWhole } from './entry';
import { MISSION_KEYS } from './MissionToggles';
import type { EntryRefs } from './EntryForm';
import type { Logging } from './useLogging';

const focusPad = () => document.querySelector<HTMLElement>('[data-testid=pad]')?.focus();

/** The keys that `logKeys` lists. */
export function useLogKeys(
  { entry, setEntry, undo, log }: Logging,
  missions: readonly Mission[],
  placers: readonly string[],
  refs: EntryRefs,
  ways: { help(): void; goOn(): void },
): void {
  useKeys((key) => {
    const everything = () =>
      missions.length === 0
        ? { ...entry, worked: true }
        : allWorked(
            entry,
            missions.map(({ id }) => id),
          );
    const mission = missions[MISSION_KEYS.indexOf(key)];
    const cause = /^[1-9]$/.test(key) ? CAUSES[Number(key) - 1] : undefined;
    if (mission !== undefined) setEntry(toggleMission(entry, mission.id));
    else if (cause !== undefined && workedAsAWhole(entry) === false) setEntry({ ...entry, cause });
    else if (key === 'w' && missions.length === 0) {
      setEntry({ ...entry, worked: entry.worked !== true });
    } else if (key === 'w') setEntry(everything());
    else if (key === 'x') refs.x.current?.focus();
    else if (key === 'y') refs.y.current?.focus();
    else if (key === 'r') refs.heading.current?.focus();
    else if (key === 'z') focusPad();
    else if (key === 'p') setEntry({ ...entry, placedBy: nextName(placers, entry.placedBy) });
    else if (key === 'u') void undo();
    else if (key === 't') ways.goOn();
    else if (key === 'Enter') void log();
    else if (key === SHIFT_ENTER) void log(everything());
    else if (key === '?') ways.help();
    else return false;
    return true;
  });
}
