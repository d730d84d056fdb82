import { useEffect, useState } from 'react';
import { channelsIn, firstAtOrAfter } from '../../../core/channels/log';
import { fromItsStart, type Log } from '../../../formats/toLog';
import { WINDOW_S } from './useWindow';

const FRAME_MS = 250;

/** A log that is played as if it came just now. */
export interface PlayedFile {
  /** What of it was played in the last half minute. */
  log: Log | null;
  atS: number;
  lengthS: number;
  playing: boolean;
  load(log: Log): void;
  toggle(): void;
}

/** The part of a log up to a moment, half a minute of it. */
function partUntil({ tS, columns }: Log, atS: number): Log {
  const from = firstAtOrAfter(tS, atS - WINDOW_S);
  const to = firstAtOrAfter(tS, atS + 1e-9);
  return {
    tS: tS.subarray(from, to),
    columns: Object.fromEntries(
      channelsIn(columns).map(([key, values]) => [key, values.subarray(from, to)]),
    ),
  };
}

export function usePlayedFile(): PlayedFile {
  const [whole, setWhole] = useState<Log | null>(null);
  const [atS, setAt] = useState(0);
  const [playing, setPlaying] = useState(false);
  const lengthS = whole?.tS.at(-1) ?? 0;
  useEffect(() => {
    if (!playing) return undefined;
    const timer = setInterval(() => {
      setAt((now) => Math.min(lengthS, now + FRAME_MS / 1000));
    }, FRAME_MS);
    return () => clearInterval(timer);
  }, [playing, lengthS]);
  const isOver = atS >= lengthS;
  return {
    log: whole && partUntil(whole, atS),
    atS,
    lengthS,
    playing: playing && !isOver,
    load: (log) => {
      setWhole(fromItsStart(log));
      setAt(0);
      setPlaying(true);
    },
    toggle: () => {
      if (isOver) setAt(0);
      setPlaying(isOver || !playing);
    },
  };
}
