import { parseDecimal } from '../../core/text/decimal';
import { errorScale } from '../../core/text/lengths';
import { wishOf, type Wish } from '../../core/compare/plan/wish';

/** What is typed of a wish: in the team's unit of run errors, or in runs of ten. */
export interface TypedWish {
  about: Wish['about'];
  by: string;
  wish: Wish | null;
  /** Whether one thing is changed, or two at once. */
  changes: 1 | 2;
  /** Why it cannot be taken. */
  problem: string | null;
}

const MOST = 1000;

/** The wish of an address (want, by); none where nothing is typed. */
export function wishFrom(params: URLSearchParams): TypedWish {
  const want = params.get('want');
  const about = want === 'aim' || want === 'success' ? want : 'spread';
  const by = (params.get('by') ?? '').trim();
  const changes = params.get('changes') === '2' ? 2 : 1;
  if (by === '') return { about, by, changes, wish: null, problem: null };
  const value = parseDecimal(by);
  if (!(value > 0) || value > MOST) {
    return {
      about,
      by,
      changes,
      wish: null,
      problem: `“${by.slice(0, 20)}” is no such number: type one above 0, such as 10.`,
    };
  }
  const wish = wishOf(about, about === 'success' ? value : value / errorScale().perM);
  return { about, by, changes, wish, problem: null };
}
