import type { Route } from '../../../core/course/route';
import type { Robot } from '../../../core/robot/robot';
import { Select } from '../../../ui/fields/Select';

interface Props {
  route: Route;
  robot: Robot;
  onChange(route: Route): void;
}

const NOTHING = { value: '', label: 'nothing' };

/** What is mounted for a route; not asked where there is nothing to mount. */
export function MountedChoice({ route, robot, onChange }: Props) {
  const { mounted } = route;
  const names = robot.mountings.map(({ name }) => name);
  const all = mounted === null || names.includes(mounted) ? names : [...names, mounted];
  if (all.length === 0) return null;
  return (
    <Select
      label="Mounted"
      value={mounted ?? ''}
      options={[NOTHING, ...all.map((name) => ({ value: name, label: name }))]}
      onChange={(name) => onChange({ ...route, mounted: name === '' ? null : name })}
    />
  );
}
