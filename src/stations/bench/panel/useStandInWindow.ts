import { useEffect } from 'react';
import type { RawConvention } from '../../../core/channels/rawConvention';
import { toReading } from '../../../formats/readings';
import type { Log } from '../../../formats/toLog';
import { listenToStandIn } from '../standIn/standInStore';
import { useStandInIsOn } from '../standIn/useStandIn';
import { useWindow } from './useWindow';

/** The last half minute of the stand-in; null while it is switched off. */
export function useStandInWindow(raw: RawConvention): Log | null {
  const { log, take, clear } = useWindow(raw);
  const isOn = useStandInIsOn();
  useEffect(() => {
    if (isOn !== true) return undefined;
    const deafen = listenToStandIn((readings) => take(readings.map(toReading)), true);
    return () => {
      deafen();
      clear();
    };
  }, [isOn, take, clear]);
  return log;
}
