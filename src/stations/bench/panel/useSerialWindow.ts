import { useCallback, useEffect, useRef, useState } from 'react';
import type { RawConvention } from '../../../core/channels/rawConvention';
import type { Log } from '../../../formats/toLog';
import { sentenceOf } from '../../api';
import { isSerialOpen, listenToSerial } from '../logs/serial';
import { useWindow } from './useWindow';

export interface SerialWindow {
  log: Log | null;
  isOpen: boolean;
  problem: string | null;
  /** By a press: the browser asks which robot. */
  open(): void;
}

/** The last half minute of a robot on USB, from when somebody opens it or a procedure reads it already. */
export function useSerialWindow(raw: RawConvention): SerialWindow {
  const { log, take, clear } = useWindow(raw);
  const [isOpen, setOpen] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const close = useRef<(() => void) | null>(null);
  const open = useCallback(() => {
    listenToSerial(take, (sentence) => {
      close.current = null;
      clear();
      setOpen(false);
      setProblem(sentence);
    }).then(
      (end) => {
        close.current = end;
        setOpen(true);
        setProblem(null);
      },
      (error: unknown) => setProblem(sentenceOf(error)),
    );
  }, [take, clear]);
  useEffect(() => {
    if (isSerialOpen()) open();
    return () => close.current?.();
  }, [open]);
  return { log, isOpen, problem, open };
}
