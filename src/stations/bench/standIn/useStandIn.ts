import { useSyncExternalStore } from 'react';
import { standInSeen, standInUnseen, watchStandIn, type StandInSeen } from './standInStore';

/** The team's stand-in robot as it is now. */
export const useStandIn = (): StandInSeen =>
  useSyncExternalStore(watchStandIn, standInSeen, standInUnseen);
