import { useReducer } from 'react';
import type { Route } from '../../core/course/route';
import { useDrafts } from '../useDrafts';
import { historyReducer, openHistory } from './history';

/** Zod is fetched only where a draft was kept. */
const loadParser = async () => {
  const { routeSchema } = await import('../../core/course/route');
  return (value: unknown): Route => routeSchema.parse(value);
};

/**
 * The route being edited, with undo and redo. What is not saved stays in the browser, so that a
 * closed page or an empty tablet battery loses nothing.
 */
export function useDraft(routeId: string, saved: { id: string | null; route: Route }) {
  const [history, dispatch] = useReducer(historyReducer, saved.route, openHistory);
  const drafts = useDrafts<Route>({
    kind: 'route',
    id: routeId,
    saved: saved.route,
    base: saved.id ?? 'new',
    present: history.present,
    loadParser,
    onFound: (route) => dispatch({ type: 'edit', route, about: 'kept draft', at: 0 }),
  });
  return { history, dispatch, ...drafts };
}
