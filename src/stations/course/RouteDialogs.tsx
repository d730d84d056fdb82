import type { Route } from '../../core/course/route';
import type { Mission } from '../../core/table/table';
import type { SavedRouteVersion } from '../../formats/records';
import { KeyHelp } from '../../ui/page/KeyHelp';
import { courseKeys } from './keys';
import { SaveVersionDialog } from './SaveVersionDialog';
import { VersionsDialog } from './VersionsDialog';

export type RouteDialog = 'save' | 'versions' | 'keys';

interface Props {
  open: RouteDialog | null;
  routeId: string;
  route: Route;
  /** The newest first. */
  versions: SavedRouteVersion[];
  missions: readonly Mission[];
  onClose(): void;
  onSaved(version: SavedRouteVersion): void;
  onTake(version: SavedRouteVersion): void;
}

/** What opens over the route. */
export function RouteDialogs(props: Props) {
  const { open, routeId, route, versions, missions, onClose } = props;
  if (open === 'keys') return <KeyHelp keys={courseKeys()} onClose={onClose} />;
  if (open === 'save') {
    return (
      <SaveVersionDialog
        {...{ routeId, route, missions, onClose }}
        base={versions[0] ?? null}
        onSaved={(version) => {
          props.onSaved(version);
          onClose();
        }}
      />
    );
  }
  if (open === null) return null;
  return (
    <VersionsDialog
      {...{ versions, missions, onClose }}
      draft={route}
      onTake={(version) => {
        props.onTake(version);
        onClose();
      }}
    />
  );
}
