import { useSyncExternalStore } from 'react';

/** As the style sheets say it: a phone, or a desk at twice the size. */
const NARROW = 'screen and (max-width: 760px)';

function watch(onChange: () => void): () => void {
  const list = matchMedia(NARROW);
  list.addEventListener('change', onChange);
  return () => list.removeEventListener('change', onChange);
}

/** Whether the screen is a phone's; the server's picture is a desk's. */
export const useNarrow = (): boolean =>
  useSyncExternalStore(
    watch,
    () => matchMedia(NARROW).matches,
    () => false,
  );
