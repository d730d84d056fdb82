import { dayOf } from '../../ui/dates';
import { useState } from 'react';
import { compareRoutes } from '../../core/course/compare';
import type { Route } from '../../core/course/route';
import type { Mission } from '../../core/table/table';
import type { SavedRouteVersion } from '../../formats/records';
import { Button } from '../../ui/Button';
import { Dialog } from '../../ui/Dialog';
import { Select } from '../../ui/fields/Select';
import { DifferenceList } from './DifferenceList';
import styles from './CourseStation.module.css';

interface Props {
  versions: readonly SavedRouteVersion[];
  draft: Route;
  missions: readonly Mission[];
  onTake(version: SavedRouteVersion): void;
  onClose(): void;
}

const DRAFT = 'draft';

const titleOf = ({ number, note, savedAt }: SavedRouteVersion) =>
  `Version ${number}, ${dayOf(savedAt)}${note === '' ? '' : `: ${note}`}`;

/** Any two versions (or the draft) side by side, and going back to an earlier one. */
export function VersionsDialog({ versions, draft, missions, onTake, onClose }: Props) {
  const [beforeId, setBeforeId] = useState(versions[1]?.id ?? versions[0]?.id ?? DRAFT);
  const [afterId, setAfterId] = useState(versions[0]?.id ?? DRAFT);
  const options = [
    { value: DRAFT, label: 'What is on the screen now' },
    ...versions.map((version) => ({ value: version.id, label: titleOf(version) })),
  ];
  const routeOf = (id: string) => versions.find((version) => version.id === id)?.route ?? draft;
  return (
    <Dialog title="Versions of this route" wide onClose={onClose}>
      <div className={styles.compare}>
        <Select label="From" value={beforeId} options={options} onChange={setBeforeId} />
        <Select label="To" value={afterId} options={options} onChange={setAfterId} />
      </div>
      <DifferenceList differences={compareRoutes(routeOf(beforeId), routeOf(afterId), missions)} />
      <h3>Take an earlier version as the draft</h3>
      <ul className={styles.versions}>
        {versions.map((version) => (
          <li key={version.id}>
            <span>{titleOf(version)}</span>
            <a href={`/course/card?version=${version.id}`}>Step card</a>{' '}
            <a href={`/course/building?version=${version.id}`}>Building sheet</a>
            <Button onClick={() => onTake(version)}>Take</Button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
