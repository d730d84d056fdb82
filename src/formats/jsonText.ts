/** No record, file or question of Corvat nests deeper than this; a reader of more would run out of stack. */
const MOST_NESTED = 100;

/** How deep lists and objects stand in one another in a JSON text; texts within it count for nothing. */
function depthOf(text: string): number {
  let depth = 0;
  let deepest = 0;
  for (let i = 0; i < text.length; i += 1) {
    const letter = text[i];
    if (letter === '"') {
      for (i += 1; i < text.length && text[i] !== '"'; i += 1) if (text[i] === '\\') i += 1;
    } else if (letter === '[' || letter === '{') {
      depth += 1;
      deepest = Math.max(deepest, depth);
    } else if (letter === ']' || letter === '}') depth -= 1;
  }
  return deepest;
}

/**
 * A JSON text from outside, as a value. A byte-order mark before it means nothing.
 *
 * @throws SyntaxError where it is none, or its parts stand more than a hundred deep in one another
 */
export function readJson(text: string): unknown {
  const plain = text.startsWith('\uFEFF') ? text.slice(1) : text;
  if (depthOf(plain) > MOST_NESTED) {
    throw new SyntaxError(`its lists and objects are nested more than ${MOST_NESTED} deep`);
  }
  return JSON.parse(plain) as unknown;
}
