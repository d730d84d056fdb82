import { counted } from '../core/text/quantities';

/** What was put out of the way: each opens, and can be taken back there. */
export function ArchivedList({
  what,
  items,
}: {
  what: string;
  items: readonly { name: string; href: string }[];
}) {
  if (items.length === 0) return null;
  return (
    <details>
      <summary>
        Archived: {counted(items.length, what, what === 'series' ? 'series' : `${what}s`)}
      </summary>
      <ul>
        {items.map(({ name, href }) => (
          <li key={href}>
            <a href={href}>{name}</a>
          </li>
        ))}
      </ul>
    </details>
  );
}
