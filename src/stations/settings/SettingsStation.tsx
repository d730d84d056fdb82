import type { TeamRecord } from '../../formats/records';
import { TURN_SIDES, type TurnSide } from '../../core/text/displaySettings';
import { Button } from '../../ui/Button';
import { Toast } from '../../ui/Notice';
import { Choice } from '../../ui/fields/Choice';
import { Select } from '../../ui/fields/Select';
import { TextField } from '../../ui/fields/TextField';
import { useInBrowser } from '../../ui/browser/useInBrowser';
import { useToast } from '../../ui/useToast';
import { ChangedElsewhere, SaveButtons } from '../Saving';
import { useSaved } from '../useSaved';
import { NamesField } from './NamesField';
import styles from './Settings.module.css';

interface Props {
  team: TeamRecord;
  zones: string[];
}

const LENGTHS = [
  { value: 'cm', label: 'cm, and mm for the errors of runs' },
  { value: 'mm', label: 'mm throughout' },
  { value: 'in', label: 'inches' },
] as const;

const quarterLeft = (side: TurnSide): string => (side === 'left' ? '90°' : '−90°');

const browserZoneNow = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** How the team wants things to be said. */
export function SettingsStation({ team, zones }: Props) {
  const [toast, tell] = useToast();
  const saved = useSaved('teams', team, () => tell('Saved. Pages say it so from now on.'));
  const browserZone = useInBrowser<string | null>(browserZoneNow, null);
  const { draft, setDraft } = saved;
  const { timeZone, length, positiveTurn, decimalSign } = draft.settings;
  const set = (part: Partial<TeamRecord['settings']>) =>
    setDraft({ ...draft, settings: { ...draft.settings, ...part } });
  const setZone = (zone: string) => set({ timeZone: zone });
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
      <Choice
        label="Lengths"
        value={length}
        options={LENGTHS}
        onChange={(of) => set({ length: of })}
      />
      <Choice
        label="A turn that counts as positive goes to the"
        value={positiveTurn}
        options={TURN_SIDES.map((side) => ({ value: side, label: side }))}
        onChange={(side) => set({ positiveTurn: side })}
      />
      <Choice
        label="Numbers are written with a decimal"
        value={decimalSign}
        options={[
          { value: '.', label: 'point: 1.5' },
          { value: ',', label: 'comma: 1,5' },
        ]}
        onChange={(sign) => set({ decimalSign: sign })}
      />
      <p className="faint">
        These hold in every label, field, sentence, chart and card; files say their unit. As it is
        set here, a quarter turn to the left is {quarterLeft(positiveTurn)}.
      </p>
      <NamesField
        key={saved.generation}
        names={draft.settings.names}
        onChange={(names) => set({ names })}
      />
      <SaveButtons what="settings" saved={saved} lacks={draft.name.trim() === ''} submits />
      <p>
        <a href="/teams">Teams of this Corvat</a>
      </p>
      <ChangedElsewhere what="team" saved={saved} />
      <Toast text={toast} />
    </form>
  );
}
