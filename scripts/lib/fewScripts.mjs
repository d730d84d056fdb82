/** Islands of which less than so much is our own code are light: what they need stands apart, so that they stay so. */
const LIGHT_CHARACTERS = 80_000;

const isOwn = (id) => !id.includes('node_modules');
const isOfForms = (id) => /node_modules\/(zod|react-hook-form)\//.test(id);

/** Everything that a module imports, itself among it, without what it loads only when it is needed. */
function reachedFrom(id, getModuleInfo) {
  const reached = new Set();
  const open = [id];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (reached.has(next)) continue;
    reached.add(next);
    open.push(...(getModuleInfo(next)?.importedIds ?? []));
  }
  return reached;
}

/**
 * Which of our modules stand together in a script: what light islands need, with or without forms; what several pages
 * of the Bench, or parts of them, need, alone or with others; what several others need. Each imports what is needed at least as widely,
 * so no script needs itself round a circle.
 */
function groupsOf({ getModuleIds, getModuleInfo }) {
  const ids = [...getModuleIds()];
  const reached = (is) => ids.filter(is).map((id) => reachedFrom(id, getModuleInfo));
  const ownSize = (modules) =>
    [...modules].filter(isOwn).reduce((sum, id) => sum + (getModuleInfo(id)?.code?.length ?? 0), 0);
  const [react] = reached((id) => id.endsWith('@astrojs/react/dist/client.js'));
  const [frame] = reached((id) => id.endsWith('BenchIsland.tsx'));
  const isLoadedLater = (id) => (getModuleInfo(id)?.dynamicImporters.length ?? 0) > 0;
  const bench = reached((id) => id.includes('/stations/bench/') && isLoadedLater(id));
  const islands = reached((id) => id.includes('astro-entry:') && !id.endsWith('BenchIsland'));
  const light = islands.filter((island) => ownSize(island) < LIGHT_CHARACTERS);
  const heavy = islands.filter((island) => !light.includes(island));
  const count = (pages, id) => pages.filter((page) => page.has(id)).length;
  return (id) => {
    // What the bundler adds by itself is small, and everything may need it.
    if (react.has(id) || /^\0(commonjsHelpers|vite\/)/.test(id)) return 'react';
    // The frame of the Bench waits for the page within it, which must not wait for the frame.
    if (id.includes('BenchIsland')) return undefined;
    if (!isOwn(id)) return isOfForms(id) ? 'schemas' : undefined;
    if (count(light, id) > 0)
      return [...reachedFrom(id, getModuleInfo)].some(isOfForms) ? 'forms' : 'page';
    const onHeavy = count(heavy, id);
    if (frame.has(id) || count(bench, id) > 1) return onHeavy > 0 ? 'bench-and-stations' : 'bench';
    return onHeavy > 1 ? 'stations' : undefined;
  };
}

/** A page fetches few scripts (at most twenty), though its code stands in hundreds of files. */
export const fewScripts = {
  name: 'few-scripts',
  apply: ({ build }) => !build?.ssr,
  outputOptions(options) {
    let groupOf;
    return {
      ...options,
      onlyExplicitManualChunks: true,
      manualChunks: (id, modules) => (groupOf ??= groupsOf(modules))(id),
    };
  },
};
