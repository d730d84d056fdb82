/**
 * The rooms of the core (`src/core`), floor by floor from the ground up. A room may ask whatever stands before it in
 * this list, and nothing that stands behind: so no room depends on itself round a circle.
 */
export const FLOORS = {
  'mathematics and statistics': ['geometry', 'stats', 'detection', 'chart'],
  'words and quantities': ['text', 'quantities', 'description', 'procedure', 'versions', 'colour'],
  'robot and table': ['devices', 'robot', 'channels', 'table', 'sensing', 'program'],
  motion: ['calibrationValues', 'control', 'machine', 'recipe'],
  steps: ['steps', 'course', 'building'],
  simulation: ['simulate'],
  'bench and calibrations': [
    ...['gyro', 'loop', 'placing', 'tuning', 'turns', 'square', 'walls', 'ranging'],
    ...['light', 'colourClasses', 'presence', 'faultIsolation', 'attachments'],
    ...['calibration', 'drive', 'directions'],
  ],
  'errors and forecasts': ['runs', 'sources', 'forecast', 'match', 'compare'],
  'what uses all of it': ['drill', 'standIn', 'trials', 'procedures'],
};

export const ROOMS = Object.values(FLOORS).flat();
