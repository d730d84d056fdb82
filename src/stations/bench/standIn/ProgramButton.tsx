import { Button } from '../../../ui/Button';
import type { useProgram } from './useProgram';

interface Props {
  program: ReturnType<typeof useProgram>;
  /** "Let the stand-in drive it" */
  label: string;
  /** While it is at it. */
  busy?: string;
  /** What it would be told is not right yet. */
  isWrong?: boolean;
  onClick(): void;
}

/** Lets the stand-in drive a program; while it moves, or is switched off, it cannot. */
export const ProgramButton = ({
  program: { isOn, moving, running },
  label,
  busy = 'The stand-in drives …',
  isWrong = false,
  onClick,
}: Props) => (
  <Button disabled={!isOn || moving || running || isWrong} onClick={onClick}>
    {running ? busy : label}
  </Button>
);
