import { displaySettings } from '../../../core/text/displaySettings';
import { parseDecimal } from '../../../core/text/decimal';
import { useState } from 'react';
import { degreesFromRadians, radiansFromDegrees } from '../../../core/geometry/angle';
import { shortNumber } from '../../../core/text/quantities';
import { TextField } from '../../../ui/fields/TextField';

const MOST = 12;

/** Angles from "45, 90, 180": each counts both ways. Null when something else stands there. */
function parseAngles(text: string): number[] | null {
  // Where a comma parts whole and parts of a number, only one with a space behind it parts two numbers.
  const between = displaySettings().decimalSign === ',' ? /;|,?\s+/ : /[,;\s]+/;
  const parts = text.split(between).filter((part) => part !== '');
  const degrees = parts.map((part) => parseDecimal(part.replace('°', '')));
  if (degrees.length > MOST || degrees.some((angle) => !(angle >= 5 && angle <= 720))) return null;
  return degrees.flatMap((angle) => [radiansFromDegrees(angle), -radiansFromDegrees(angle)]);
}

/** The angles that the team's routes use. */
export function AnglesField({
  anglesRad,
  onChange,
}: {
  anglesRad: readonly number[];
  onChange(anglesRad: number[]): void;
}) {
  const shown = anglesRad
    .filter((angle) => angle > 0)
    .map((angle) => shortNumber(degreesFromRadians(angle), 1))
    .join(', ');
  const [text, setText] = useState(shown);
  const wrong = parseAngles(text) === null;
  return (
    <TextField
      label="Angles that your routes use"
      value={text}
      aria-invalid={wrong}
      onChange={(next) => {
        setText(next);
        const parsed = parseAngles(next);
        if (parsed !== null) onChange(parsed);
      }}
      hint={
        wrong ? 'numbers from 5 to 720 with commas between, twelve at most' : 'degrees, both ways'
      }
    />
  );
}
