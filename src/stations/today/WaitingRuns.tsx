import { useEffect, useState } from 'react';
import { counted } from '../../core/text/quantities';
import { Notice } from '../../ui/Notice';
import { keptRuns } from '../runs/log/outboxStore';

/** Says when this browser still keeps runs that no server has confirmed, and where they go out. */
export function WaitingRuns() {
  const [series, setSeries] = useState<string[]>([]);
  useEffect(() => {
    // Only the browser knows what waits in it.
    void keptRuns().then((runs) => setSeries(runs.map(({ seriesId }) => seriesId)));
  }, []);
  if (series.length === 0) return null;
  return (
    <Notice tone="careful" action={<a href={`/runs/${series[0] ?? ''}`}>Open the series</a>}>
      {counted(series.length, 'run')} in this browser {series.length === 1 ? 'is' : 'are'} not yet
      saved. Open the series: they go out from there by themselves.
    </Notice>
  );
}
