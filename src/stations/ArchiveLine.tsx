import { Button } from '../ui/Button';
import { Notice } from '../ui/Notice';

/** Puts what is on the screen out of the way, or takes it back; nothing is deleted. */
export function ArchiveLine({
  what,
  archivedAt,
  onArchive,
}: {
  what: string;
  archivedAt: string | null;
  onArchive(archivedAt: string | null): void;
}) {
  return archivedAt === null ? (
    <span>
      <Button look="bare" onClick={() => onArchive(new Date().toISOString())}>
        Archive this {what}
      </Button>
    </span>
  ) : (
    <Notice tone="careful" action={<Button onClick={() => onArchive(null)}>Take it back</Button>}>
      This {what} is archived: it is kept, and out of the way in all lists.
    </Notice>
  );
}
