import { teamNames } from '../../../core/text/displaySettings';
import { TextField } from '../../../ui/fields/TextField';

interface Said {
  reason: string;
  who: string;
}

/** For the journal: why something is to hold, and who says so. */
export const WhyAndWho = ({
  reason,
  who,
  onChange,
}: Said & { onChange(part: Partial<Said>): void }) => (
  <>
    <TextField
      label="Why?"
      value={reason}
      maxLength={500}
      onChange={(text) => onChange({ reason: text })}
      hint="for the journal; may be left empty"
    />
    <TextField
      label="Who? (nickname)"
      value={who}
      maxLength={40}
      suggestions={teamNames()}
      onChange={(text) => onChange({ who: text })}
    />
  </>
);
