import { Button } from '../ui/Button';

export function PrintButton({ what }: { what: string }) {
  return <Button onClick={() => window.print()}>Print {what}</Button>;
}
