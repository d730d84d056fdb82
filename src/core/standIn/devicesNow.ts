import type { Device } from '../devices/device';

/**
 * The units of a stand-in: those that the record has now, each as it was when it was unpacked. Its truth does
 * not follow what the record says of its behaviour; where it is plugged in and what it is called does.
 */
export const devicesNow = (unpacked: readonly Device[], recorded: readonly Device[]): Device[] =>
  recorded.map((unit) => {
    const known = unpacked.find(({ id, kind }) => id === unit.id && kind === unit.kind);
    return known === undefined ? unit : { ...known, port: unit.port, label: unit.label };
  });
