import { CAUSES } from '../../core/runs/causes';
import type { RunSearch } from '../../formats/runs/runSearch';
import button from '../../ui/Button.module.css';
import { asOptions, PlainInput, PlainSelect } from '../../ui/fields/PlainFields';
import styles from './SeriesList.module.css';

interface Named {
  id: string;
  name: string;
}

interface Props {
  search: RunSearch;
  routes: readonly Named[];
  robots: readonly Named[];
  people: readonly string[];
}

const byId = (list: readonly Named[]) => list.map(({ id, name }) => ({ value: id, label: name }));

/** Single runs are found by what is known of them; all that is said must hold. */
export function FindRuns({ search, routes, robots, people }: Props) {
  return (
    <form method="get" action="/runs/all" className={styles.find} role="search">
      <PlainInput
        name="q"
        label="Words of the note"
        type="search"
        maxLength={100}
        value={search.q}
      />
      <PlainSelect
        name="route"
        label="Route"
        value={search.route}
        all="all routes"
        options={byId(routes)}
      />
      <PlainSelect
        name="robot"
        label="Robot"
        value={search.robot}
        all="all robots"
        options={byId(robots)}
      />
      <PlainSelect
        name="person"
        label="Placed by"
        value={search.person}
        all="everybody"
        options={asOptions(people)}
      />
      <PlainSelect
        name="cause"
        label="What went wrong"
        value={search.cause}
        all="anything or nothing"
        options={asOptions(CAUSES)}
      />
      <PlainInput name="since" label="From" type="date" value={search.since} />
      <PlainInput name="until" label="To" type="date" value={search.until} />
      <button type="submit" className={button.button}>
        Find
      </button>
    </form>
  );
}
