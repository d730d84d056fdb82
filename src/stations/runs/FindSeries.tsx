import button from '../../ui/Button.module.css';
import { PlainInput, PlainSelect } from '../../ui/fields/PlainFields';
import styles from './SeriesList.module.css';

interface Props {
  search: string;
  routeId: string;
  routes: readonly { id: string; name: string }[];
}

/** Series are found by what was tried, and by their route. */
export function FindSeries({ search, routeId, routes }: Props) {
  return (
    <form method="get" action="/runs" className={styles.find} role="search">
      <PlainInput name="q" label="What was tried" type="search" maxLength={100} value={search} />
      <PlainSelect
        name="route"
        label="Route"
        value={routeId}
        all="all routes"
        options={routes.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <button type="submit" className={button.button}>
        Find
      </button>
    </form>
  );
}
