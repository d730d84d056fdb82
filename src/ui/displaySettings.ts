import {
  PLAIN_DISPLAY,
  setDisplaySettings,
  type DisplaySettings,
} from '../core/text/displaySettings';

/*
 * The page says for which display settings it was written: what takes it over in the browser says the same. Whatever shows
 * or takes a quantity imports this first.
 */
if (typeof document !== 'undefined') {
  const { display } = document.documentElement.dataset;
  if (display !== undefined)
    setDisplaySettings({ ...PLAIN_DISPLAY, ...(JSON.parse(display) as DisplaySettings) });
}
