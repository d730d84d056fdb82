import { useState } from 'react';
import { TextField } from '../../ui/fields/TextField';

const MOST = 30;
const LONGEST = 40;

const namesIn = (text: string): string[] => [
  ...new Set(
    text
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
  ),
];

/** Nicknames, typed with commas; a list that does not fit is said, and not taken. */
export function NamesField({
  names,
  onChange,
}: {
  names: readonly string[];
  onChange(names: string[]): void;
}) {
  const [text, setText] = useState(names.join(', '));
  const typed = namesIn(text);
  const fits = typed.length <= MOST && typed.every((name) => name.length <= LONGEST);
  return (
    <TextField
      label="Nicknames at the table, with commas"
      value={text}
      aria-invalid={!fits}
      hint={
        fits
          ? 'Offered wherever somebody is named. Nicknames only.'
          : `At most ${MOST} names of ${LONGEST} letters fit.`
      }
      onChange={(next) => {
        setText(next);
        const list = namesIn(next);
        if (list.length <= MOST && list.every((name) => name.length <= LONGEST)) onChange(list);
      }}
    />
  );
}
