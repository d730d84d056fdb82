import { useEffect, useRef } from 'react';

/** Alt with an arrow moves the step in which the focus is; of steps within each other the innermost. */
export function useMoveKeys(onMoveBy: (id: string, by: -1 | 1) => void): void {
  const latest = useRef(onMoveBy);
  useEffect(() => {
    latest.current = onMoveBy;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const by = { ArrowUp: -1, ArrowDown: 1 }[event.key] as -1 | 1 | undefined;
      const at = event.target instanceof Element ? event.target : null;
      const id = at?.closest<HTMLElement>('[data-step]')?.dataset.step;
      if (!event.altKey || by === undefined || id === undefined) return;
      event.preventDefault();
      latest.current(id, by);
    };
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, []);
}
