import button from '../../ui/Button.module.css';
import fields from '../../ui/TextField.module.css';
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
      <span className={fields.field}>
        <label htmlFor="find-q">What was tried</label>
        <input id="find-q" name="q" type="search" maxLength={100} defaultValue={search} />
      </span>
      <span className={fields.field}>
        <label htmlFor="find-route">Route</label>
        <select id="find-route" name="route" defaultValue={routeId}>
          <option value="">all routes</option>
          {routes.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </span>
      <button type="submit" className={button.button}>
        Find
      </button>
    </form>
  );
}
