import type { Device } from '../../../core/devices/device';
import { scaleOfDevice } from '../../../core/light/lightScale';
import type { LightTrials } from '../../../formats/benchRecords';

/** An empty list of light readings, kept with its first; it counts as the sensor's record says. */
export const newLightTrials = (
  id: string,
  robotId: string,
  unit: Pick<Device, 'raw'> | undefined,
): LightTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'light',
  conditions: {
    surface: '',
    battery: '',
    who: '',
    readToM: null,
    ...scaleOfDevice(unit),
    venue: '',
    lighting: '',
    programs: null,
  },
  trials: [],
  archivedAt: null,
});
