import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { guessedNames } from '../../../core/colour/guessedRules';
import type { Robot } from '../../../core/robot/robot';
import { Button } from '../../../ui/Button';
import type { EditorProps } from '../../../ui/fields/PhraseFields';
import styles from './ConditionEditor.module.css';

interface Props extends EditorProps {
  robot: Robot;
}

type Lists = Record<string, unknown[]>;

const isName = (name: string): boolean => /^[^.]{1,40}$/.test(name.trim());

/** The name of a colour: as long as it is none, or that of another, what stood there before holds. */
function NameField({
  name,
  taken,
  suggestions,
  onRename,
}: {
  name: string;
  taken: readonly string[];
  suggestions: string;
  onRename(name: string): void;
}) {
  const [text, setText] = useState(name);
  const isGood = isName(text) && (text.trim() === name || !taken.includes(text.trim()));
  return (
    <input
      className={styles.name}
      aria-label="Colour"
      aria-invalid={!isGood}
      list={suggestions}
      autoComplete="off"
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        if (isGood) onRename(text.trim());
        else setText(name);
      }}
    />
  );
}

/** The colours among which a step decides: their names, each with its list of steps below. */
export function ColoursEditor({ value, robot, onChange }: Props) {
  const lists = value as Lists;
  const names = Object.keys(lists);
  const suggestions = useId();
  const known = [
    ...robot.measured.colours.flatMap(({ classes }) => classes.map(({ name }) => name)),
    ...guessedNames(),
  ].filter((name, i, all) => !names.includes(name) && all.indexOf(name) === i);
  const renamed = (from: string, to: string): Lists =>
    Object.fromEntries(Object.entries(lists).map(([name, of]) => [name === from ? to : name, of]));
  return (
    <>
      {names.map((name) => (
        <span key={name} className={styles.colour}>
          <NameField
            name={name}
            taken={names}
            suggestions={suggestions}
            onRename={(to) => to !== name && onChange(renamed(name, to))}
          />
          {names.length > 1 && (
            <Button
              look="bare"
              aria-label={`Leave ${name} out, with its steps`}
              title={`Leave ${name} out, with its steps`}
              onClick={() =>
                onChange(Object.fromEntries(Object.entries(lists).filter(([one]) => one !== name)))
              }
            >
              <X size={14} aria-hidden />
            </Button>
          )}
        </span>
      ))}
      <datalist id={suggestions}>
        {known.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      {names.length < 8 && known[0] !== undefined && (
        <Button look="bare" onClick={() => onChange({ ...lists, [known[0] as string]: [] })}>
          another colour
        </Button>
      )}
    </>
  );
}
