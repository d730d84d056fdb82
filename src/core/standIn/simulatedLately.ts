import type { Robot } from '../robot/robot';

const MOST_KEPT = 8;

/**
 * A simulation of what a robot was told, kept for the next who asks for the same: whoever reads the stand-in asks for
 * every moment of it, and each time with a record that was read anew.
 */
export function simulatedLately<What extends object, Outcome>(
  simulate: (robot: Robot, what: What) => Outcome,
): (robot: Robot, what: What) => Outcome {
  const kept = new Map<string, Outcome>();
  const ofRecord = new WeakMap<What, { robot: Robot; outcome: Outcome }>();
  return (robot, what) => {
    const asked = ofRecord.get(what);
    if (asked?.robot === robot) return asked.outcome;
    const key = JSON.stringify([robot, what]);
    const outcome = kept.get(key) ?? simulate(robot, what);
    const oldest = kept.keys().next().value;
    if (kept.size >= MOST_KEPT && oldest !== undefined) kept.delete(oldest);
    kept.set(key, outcome);
    ofRecord.set(what, { robot, outcome });
    return outcome;
  };
}
