import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

const NAMES = {
  ink: 'ink',
  faint: 'ink-faint',
  line: 'line',
  spruce: 'spruce',
  spruceWash: 'spruce-wash',
  marigold: 'marigold',
  brick: 'brick',
  brickWash: 'brick-wash',
  sheet: 'sheet',
} as const;

export type Colours = Record<keyof typeof NAMES, string>;

/** The colours of the theme in force, for charts; they change with it. */
export function useColours(): Colours | undefined {
  const [colours, setColours] = useState<Colours>();
  useEffect(() => {
    const read = () => {
      const style = getComputedStyle(document.documentElement);
      setColours(
        Object.fromEntries(
          Object.entries(NAMES).map(([key, name]) => [
            key,
            style.getPropertyValue(`--${name}`).trim(),
          ]),
        ) as Colours,
      );
    };
    read();
    // At once: a page that is being printed waits for nothing.
    const readNow = () => flushSync(read);
    document.addEventListener('corvat-theme', readNow);
    return () => document.removeEventListener('corvat-theme', readNow);
  }, []);
  return colours;
}
