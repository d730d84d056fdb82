import type { TeamRecord } from '../../formats/records';
import { Button } from '../../ui/Button';
import { Notice, Toast } from '../../ui/Notice';
import { Select } from '../../ui/Select';
import { TextField } from '../../ui/TextField';
import { useInBrowser } from '../../ui/useInBrowser';
import { useToast } from '../../ui/useToast';
import { ConflictDialog } from '../ConflictDialog';
import { useSaved } from '../useSaved';
import styles from './Settings.module.css';

interface Props {
  team: TeamRecord;
  zones: string[];
}

const browserZoneNow = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** How the team wants things to be said. */
export function SettingsStation({ team, zones }: Props) {
  const [toast, tell] = useToast();
  const saved = useSaved('teams', team, () => tell('Saved. Pages say it so from now on.'));
  const browserZone = useInBrowser<string | null>(browserZoneNow, null);
  const { draft, setDraft } = saved;
  const { timeZone } = draft.settings;
  const setZone = (zone: string) =>
    setDraft({ ...draft, settings: { ...draft.settings, timeZone: zone } });
  const offered = [...new Set([timeZone, ...zones])].toSorted();
  return (
    <form
      className={styles.settings}
      onSubmit={(event) => {
        event.preventDefault();
        void saved.save();
      }}
    >
      <h1>Settings of {saved.saved.name}</h1>
      <TextField
        label="Name of the team"
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
      />
      <Select
        label="Time zone"
        value={timeZone}
        options={offered.map((zone) => ({ value: zone, label: zone.replaceAll('_', ' ') }))}
        onChange={setZone}
      />
      <p className="faint">
        All days and clock times are shown in it, whatever zone a tablet or the computer is set to.
      </p>
      {browserZone !== null && browserZone !== timeZone && (
        <Button onClick={() => setZone(browserZone)}>
          Use this browser’s: {browserZone.replaceAll('_', ' ')}
        </Button>
      )}
      <div className={styles.actions}>
        <Button
          look="strong"
          type="submit"
          disabled={!saved.changed || saved.saving || draft.name.trim() === ''}
        >
          Save the settings
        </Button>
        <Button disabled={!saved.changed} onClick={() => saved.put(saved.saved)}>
          Back to what is saved
        </Button>
      </div>
      {saved.problem !== null && <Notice tone="fault">{saved.problem}</Notice>}
      {saved.theirs !== null && (
        <ConflictDialog
          what="team"
          mine={draft}
          theirs={saved.theirs}
          onKeepMine={(mine) => void saved.save(mine)}
          onTakeTheirs={saved.accept}
          onClose={saved.dismiss}
        />
      )}
      <Toast text={toast} />
    </form>
  );
}
