import { useSyncExternalStore } from 'react';
import { standInSeen, standInUnseen, watchStandIn, type StandInSeen } from './standInStore';

/** The team's stand-in robot as it is now; what uses it is drawn anew with every reading. */
export const useStandIn = (): StandInSeen =>
  useSyncExternalStore(watchStandIn, standInSeen, standInUnseen);

type Simple = string | number | boolean | null;

/** One simple fact about the stand-in: what uses it is drawn anew only when that changes. */
export const useStandInFact = <T extends Simple>(fact: (seen: StandInSeen) => T): T =>
  useSyncExternalStore(
    watchStandIn,
    () => fact(standInSeen()),
    () => fact(standInUnseen()),
  );

/** Whether it is switched on; null while nobody knows. */
export const useStandInIsOn = (): boolean | null => useStandInFact(({ view }) => view?.on ?? null);
