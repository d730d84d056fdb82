import { useEffect, useRef } from 'react';

/** Enter with Shift is a key of its own, also in a field: it does more than Enter there. */
export const SHIFT_ENTER = 'Shift+Enter';

/** Single keys outside of fields, dialogs and controls that use the key themselves. */
export function useKeys(onKey: (key: string) => boolean): void {
  const latest = useRef(onKey);
  useEffect(() => {
    latest.current = onKey;
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      // A key that is held down is one key.
      if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented)
        return;
      const target = event.target instanceof Element ? event.target : null;
      if (document.querySelector('dialog[open]') !== null) return;
      const isShiftEnter = event.shiftKey && event.key === 'Enter';
      if (!isShiftEnter) {
        if (target?.closest('input:not([type=radio]), select, textarea')) return;
        if (event.key === 'Enter' && target?.closest('button, a, summary, label')) return;
      }
      if (latest.current(isShiftEnter ? SHIFT_ENTER : event.key)) event.preventDefault();
    };
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, []);
}
