import { lazy, Suspense, useSyncExternalStore } from 'react';
import type { PlotProps } from './plotProps';

const PlotCanvas = lazy(() => import('./PlotCanvas'));

const never = () => () => undefined;

/**
 * A chart of curves, points and bands over a number; it says in words what it shows. It is drawn in the browser
 * alone, once the page around it can be used.
 */
export function Plot(props: PlotProps) {
  const inBrowser = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  if (!inBrowser) return null;
  return (
    <Suspense fallback={null}>
      <PlotCanvas {...props} />
    </Suspense>
  );
}
