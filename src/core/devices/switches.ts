import { isA, devicesOf, type WithDevices } from './ofRobot';
import type { Device } from './device';

/** What each switch read while it was pressed, by its id. */
type Pressed = Readonly<Record<string, boolean>>;

/** What a record has wrong about its switches, in words. */
export const switchErrors = (robot: WithDevices, pressed: Pressed): string[] =>
  devicesOf(robot, 'touch sensor').flatMap(({ id, label, behaviour }) => {
    const reads = pressed[id];
    return reads === undefined || reads === behaviour.readsWhilePressed
      ? []
      : [`the switch ${label} the wrong way round`];
  });

/** The units with their switches as they were found. */
export const withSwitches = (units: readonly Device[], pressed: Pressed): Device[] =>
  units.map((unit) => {
    const reads = pressed[unit.id];
    return isA(unit, 'touch sensor') && reads !== undefined
      ? { ...unit, behaviour: { ...unit.behaviour, readsWhilePressed: reads } }
      : unit;
  });
