import { alongAcross, isInWindow, offsetFrom } from '../../geometry/pose';
import type { PlannedStep } from '../../course/plan';
import { kindOfStep } from '../../steps/registry';
import { missionName } from '../../table/missionName';
import { isMarkOf, targetsOf } from '../../table/targets';
import { degrees, errorLength } from '../../text/quantities';
import { passedAt } from '../plannedPassing';
import type { Check } from './check';

/** A mission counts once. */
export const markedTwice: Check = ({ step, number }, { plan, table }) => {
  const marked = kindOfStep(step).marks?.(step);
  if (marked === undefined) return [];
  const { missionId, part } = marked;
  const isAlike = (one: PlannedStep) => {
    const other = kindOfStep(one.step).marks?.(one.step);
    return (
      other?.missionId === missionId &&
      (other.part === null || part === null || other.part === part)
    );
  };
  const first = plan.find(isAlike);
  if (first === undefined || first.number === number) return [];
  const name = missionName(table.missions, missionId);
  return [
    {
      problem: 'marked-twice',
      sentence: `The ${name} is worked in step ${first.number} already: it counts once.`,
      mend: { words: 'Take this step out', step: null },
    },
  ];
};

/** A mark stands within the window of its mission, as planned; in passing, the next motion comes through it. */
export const outOfWindow: Check = (planned, { plan, table }) => {
  const { step, to, isMeanwhile } = planned;
  const marked = kindOfStep(step).marks?.(step);
  if (marked === undefined || isMeanwhile === true) return [];
  const stands = marked.passing ? passedAt(plan, planned) : () => to;
  return table.missions
    .flatMap(targetsOf)
    .filter((target) => isMarkOf(marked, target))
    .flatMap((target) => {
      const at = stands(target.pose);
      if (isInWindow(at, target.pose, target.window)) return [];
      const off = offsetFrom(target.pose, at);
      const { alongM, acrossM } = alongAcross(off, target.pose.headingRad);
      const how = marked.passing ? 'comes by' : 'stands';
      return [
        {
          problem: 'out-of-window',
          sentence: `As planned it ${how} ${errorLength(Math.hypot(alongM, acrossM))} and ${degrees(Math.abs(off.headingRad), 0)} off the ${target.name}: outside its window.`,
        },
      ];
    });
};

/** What has to be worked before a mission counts is worked before it on the same route. */
export const tooEarly: Check = (planned, { plan, table }) => {
  const id = kindOfStep(planned.step).marks?.(planned.step)?.missionId;
  const mission = table.missions.find((one) => one.id === id);
  const place = plan.indexOf(planned);
  if (mission === undefined || place < 0) return [];
  const later = plan
    .slice(place + 1)
    .flatMap(({ step }) => kindOfStep(step).marks?.(step).missionId ?? []);
  return mission.after
    .filter((one) => later.includes(one) && !isMarkedBefore(plan, place, one))
    .map((one) => ({
      problem: 'too-early',
      sentence: `The ${mission.name} counts only once the ${missionName(table.missions, one)} has been worked, which comes later here.`,
    }));
};

const isMarkedBefore = (plan: readonly PlannedStep[], place: number, id: string): boolean =>
  plan.slice(0, place).some(({ step }) => kindOfStep(step).marks?.(step).missionId === id);
