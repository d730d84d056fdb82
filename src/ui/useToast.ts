import { useCallback, useEffect, useState } from 'react';

const SHOWN_MS = 4000;

/** A line that is told and goes away by itself. */
export function useToast(): [string | null, (text: string) => void] {
  const [text, setText] = useState<string | null>(null);
  useEffect(() => {
    if (text === null) return undefined;
    const timer = setTimeout(() => setText(null), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [text]);
  return [text, useCallback((next: string) => setText(next), [])];
}
