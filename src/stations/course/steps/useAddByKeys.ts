import { useEffect, useRef, type RefObject } from 'react';

/** The field of a step that is filled in first. */
const firstField = (id: string): HTMLElement | null =>
  document.querySelector(`[data-step="${CSS.escape(id)}"] :is(input, select)`);

/**
 * Adding without a mouse: Alt and Enter in a step leads to the kinds of step, and what was added by a key is filled in
 * next.
 *
 * @param selected the step that was added last is the selected one
 * @returns is told that one is being added by a key
 */
export function useAddByKeys(
  adds: RefObject<HTMLElement | null>,
  selected: string | null,
): { byKey(): void } {
  const isByKey = useRef(false);
  useEffect(() => {
    if (!isByKey.current || selected === null) return;
    isByKey.current = false;
    firstField(selected)?.focus();
  }, [selected]);
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const isInStep = event.target instanceof Element && event.target.closest('[data-step]');
      if (!event.altKey || event.key !== 'Enter' || !isInStep) return;
      event.preventDefault();
      adds.current?.querySelector<HTMLElement>('button:not(:disabled)')?.focus();
    };
    document.addEventListener('keydown', listen);
    return () => document.removeEventListener('keydown', listen);
  }, [adds]);
  return {
    byKey() {
      isByKey.current = true;
    },
  };
}
