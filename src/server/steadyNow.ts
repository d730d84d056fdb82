/** The moment by a clock that nobody sets, ms since 1970 as it was known when this process began. */
export const steadyNow = (): number => performance.timeOrigin + performance.now();
