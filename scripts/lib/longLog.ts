/**
 * Half an hour of a still heading at 100 readings a second, in JSON Lines.
 * Each start makes a log of its own: the same file twice would be noticed.
 */
export function halfHourLog(startDeg = 0): string {
  const lines: string[] = [];
  for (let i = 0; i < 180_000; i += 1) {
    lines.push(
      `{"t_s":${(i / 100).toFixed(2)},"heading_deg":${(startDeg + i * 0.00003).toFixed(1)}}`,
    );
  }
  return lines.join('\n');
}
