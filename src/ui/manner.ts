import { PLAIN_MANNER, setTeamManner, type Manner } from '../core/text/manner';

/*
 * The page says in which manner it was written: what takes it over in the browser says the same. Whatever shows
 * or takes a quantity imports this first.
 */
if (typeof document !== 'undefined') {
  const { manner } = document.documentElement.dataset;
  if (manner !== undefined) setTeamManner({ ...PLAIN_MANNER, ...(JSON.parse(manner) as Manner) });
}
