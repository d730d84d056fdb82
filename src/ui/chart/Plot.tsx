import { fetchedLater } from '../fetchedLater';

/**
 * A chart of curves, points and bands over a number; it says in words what it shows. It is drawn in the browser
 * alone, once the page around it can be used.
 */
export const Plot = fetchedLater(async () => (await import('./PlotCanvas')).PlotCanvas);
