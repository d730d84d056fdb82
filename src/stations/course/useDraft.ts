import { useEffect, useReducer, useRef } from 'react';
import type { Route } from '../../core/course/route';
import { historyReducer, openHistory } from './history';

interface Kept {
  baseId: string | null;
  route: Route;
}

const keyOf = (routeId: string) => `corvat-draft:${routeId}`;

/** Changes that were not saved when the page was left, if any. */
function keptDraft(routeId: string): Kept | null {
  const text = localStorage.getItem(keyOf(routeId));
  if (text === null) return null;
  try {
    return JSON.parse(text) as Kept;
  } catch {
    return null;
  }
}

const sameRoute = (a: Route, b: Route) => JSON.stringify(a) === JSON.stringify(b);

/**
 * The route being edited, with undo and redo. What is not saved stays in the browser, so that a
 * closed page or an empty tablet battery loses nothing.
 */
export function useDraft(routeId: string, saved: { id: string | null; route: Route }) {
  const [history, dispatch] = useReducer(historyReducer, saved.route, openHistory);
  const opened = useRef(false);
  const changed = !sameRoute(history.present, saved.route);
  useEffect(() => {
    if (!opened.current) {
      opened.current = true;
      const kept = keptDraft(routeId);
      if (kept !== null && !sameRoute(kept.route, saved.route)) {
        dispatch({ type: 'edit', route: kept.route, about: 'kept draft', at: 0 });
      }
      return;
    }
    if (changed) {
      const kept: Kept = { baseId: saved.id, route: history.present };
      localStorage.setItem(keyOf(routeId), JSON.stringify(kept));
    } else {
      localStorage.removeItem(keyOf(routeId));
    }
  }, [routeId, history.present, changed, saved]);
  return { history, dispatch, changed };
}
