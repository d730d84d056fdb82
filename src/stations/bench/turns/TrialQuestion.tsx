import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';

/** A trial that does not fit the others: it is asked about, and does not count until it is mended. */
export function TrialQuestion({
  no,
  text,
  onSetAside,
}: {
  no: number;
  text: string;
  onSetAside(): void;
}) {
  return (
    <Notice tone="careful" action={<Button onClick={onSetAside}>Set it aside…</Button>}>
      Trial {no}: {text}
    </Notice>
  );
}
