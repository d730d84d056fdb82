import { useEffect, useState, type RefObject } from 'react';

/** On a desk names are so large, in millimetres of the table; nowhere are they smaller than so many pixels. */
const USUAL_MM = 42;
const LEAST_PX = 12;

/**
 * How large the letters of a plan are, in its own millimetres, so that they can be read at any width.
 *
 * @param widthMm of the part of the table that is shown
 * @returns null until it is known how wide that is shown
 */
export function useLetters(plan: RefObject<SVGSVGElement | null>, widthMm: number): number | null {
  const [mm, setMm] = useState<number | null>(null);
  useEffect(() => {
    const svg = plan.current;
    if (svg === null) return undefined;
    const observer = new ResizeObserver(() => {
      const { width } = svg.getBoundingClientRect();
      if (width > 0) setMm(Math.max(USUAL_MM, (LEAST_PX * widthMm) / width));
    });
    observer.observe(svg);
    return () => observer.disconnect();
  }, [plan, widthMm]);
  return mm;
}
