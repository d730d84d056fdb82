import type { z } from 'zod';

/** In metres, seconds and radians nothing about a small robot is larger. */
const LARGEST_FIGURE = 1e6;

/** The path of the first number in a value that no robot has; null: all may be. */
function beyondReason(value: unknown, path: PropertyKey[] = []): PropertyKey[] | null {
  if (typeof value === 'number') return Math.abs(value) > LARGEST_FIGURE ? path : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    const found = beyondReason(inner, [...path, Array.isArray(value) ? Number(key) : key]);
    if (found !== null) return found;
  }
  return null;
}

/** Refuses a value in which some number is none that a small robot has. */
export function withinReason(value: unknown, context: z.RefinementCtx): void {
  const path = beyondReason(value);
  if (path === null) return;
  context.addIssue({ code: 'custom', path, message: 'expected a number within ± 1 000 000' });
}
