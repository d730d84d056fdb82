import { RUN_NUMBER } from '../../../core/runs/description';
import { dayOf } from '../../../ui/dates';
import type { SavedSeries } from '../../../formats/records';
import { sourceText, type Selection } from '../../../formats/runs/selection';
import { asOptions, PlainInput, PlainSelect } from '../../../ui/fields/PlainFields';
import styles from './Compare.module.css';

/** What a side can be of. */
export interface Choosable {
  series: readonly SavedSeries[];
  versions: readonly { id: string; label: string }[];
  routes: readonly { id: string; name: string }[];
}

interface Props {
  side: 'a' | 'b';
  title: string;
  selection: Selection;
  choosable: Choosable;
  /** Who placed the robot, and which batteries there are. */
  people: readonly string[];
  batteries: readonly string[];
}

const Sources = ({ series, versions, routes }: Choosable) => (
  <>
    <optgroup label="Series">
      {series.map(({ id, trying, startedAt }) => (
        <option key={id} value={sourceText({ of: 'series', id })}>
          {dayOf(startedAt)} {trying}
        </option>
      ))}
    </optgroup>
    <optgroup label="All series of a version">
      {versions.map(({ id, label }) => (
        <option key={id} value={sourceText({ of: 'version', id })}>
          {label}
        </option>
      ))}
    </optgroup>
    <optgroup label="All runs of a route">
      {routes.map(({ id, name }) => (
        <option key={id} value={sourceText({ of: 'route', id })}>
          {name}
        </option>
      ))}
    </optgroup>
  </>
);

/** One side of a comparison: a series, a version or a route, and the part of it that is meant. */
export function SideFields({ side, title, selection, choosable, people, batteries }: Props) {
  const { of, id, ...part } = selection;
  const isPart = Object.values(part).some((value) => value !== undefined);
  return (
    <fieldset className={styles.side}>
      <legend>{title}</legend>
      <PlainSelect name={`${side}.of`} label="Runs of" value={sourceText({ of, id })}>
        <Sources {...choosable} />
      </PlainSelect>
      <details open={isPart}>
        <summary>Only a part of it</summary>
        <div className={styles.part}>
          {people.length > 0 && (
            <PlainSelect
              name={`${side}.person`}
              label="Placed by"
              value={part.person}
              all="everybody"
              options={asOptions(people)}
            />
          )}
          {batteries.length > 0 && (
            <PlainSelect
              name={`${side}.battery`}
              label="Battery"
              value={part.battery}
              all="every battery"
              options={asOptions(batteries)}
            />
          )}
          <PlainInput
            name={`${side}.from`}
            label="From run"
            limits={RUN_NUMBER}
            value={part.from}
          />
          <PlainInput name={`${side}.to`} label="to run" limits={RUN_NUMBER} value={part.to} />
          <PlainInput
            name={`${side}.since`}
            label="From"
            type="datetime-local"
            value={part.since}
          />
          <PlainInput
            name={`${side}.until`}
            label="Before"
            type="datetime-local"
            value={part.until}
          />
        </div>
      </details>
    </fieldset>
  );
}
