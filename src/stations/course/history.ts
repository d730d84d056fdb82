import type { Route } from '../../core/course/route';

/** A draft with its past and future. */
export interface History {
  past: Route[];
  present: Route;
  future: Route[];
  /** What the last change was about and when: typing one value is one step to undo. */
  last: { about: string; at: number } | null;
}

export type HistoryAction =
  | { type: 'edit'; route: Route; about: string; at: number }
  | { type: 'undo' }
  | { type: 'redo' }
  | { type: 'open'; route: Route };

const SAME_EDIT_MS = 1500;
const MOST_STEPS = 200;

export const openHistory = (route: Route): History => ({
  past: [],
  present: route,
  future: [],
  last: null,
});

export function historyReducer(state: History, action: HistoryAction): History {
  switch (action.type) {
    case 'open':
      return openHistory(action.route);
    case 'undo': {
      const previous = state.past.at(-1);
      if (previous === undefined) return state;
      return {
        past: state.past.slice(0, -1),
        present: previous,
        future: [state.present, ...state.future],
        last: null,
      };
    }
    case 'redo': {
      const [next, ...future] = state.future;
      if (next === undefined) return state;
      return { past: [...state.past, state.present], present: next, future, last: null };
    }
    case 'edit': {
      const { about, at } = action;
      const goesOn = state.last?.about === about && at - state.last.at < SAME_EDIT_MS;
      return {
        past: goesOn ? state.past : [...state.past, state.present].slice(-MOST_STEPS),
        present: action.route,
        future: [],
        last: { about, at },
      };
    }
  }
}

/** Whether two routes are the same, value by value. */
export const sameRoute = (a: Route, b: Route): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A change of the draft, made now. */
export const editOf = (route: Route, about: string): HistoryAction => ({
  type: 'edit',
  route,
  about,
  at: Date.now(),
});
