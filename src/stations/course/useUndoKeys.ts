import { useEffect } from 'react';

const isTyping = (event: KeyboardEvent) =>
  event.target instanceof HTMLElement &&
  event.target.closest('input, select, textarea, dialog') !== null;

/** Ctrl+Z, Ctrl+Y and Ctrl+Shift+Z outside of fields. */
export function useUndoKeys(undo: () => void, redo: () => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || isTyping(event)) return;
      const key = event.key.toLowerCase();
      if (key !== 'z' && key !== 'y') return;
      event.preventDefault();
      if (key === 'y' || event.shiftKey) redo();
      else undo();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [undo, redo]);
}
