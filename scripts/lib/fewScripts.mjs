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

/** Which modules stand together in a script: what most pages need, what several of the Bench need, and of the others. */
function groupsOf({ getModuleIds, getModuleInfo }) {
  const ids = [...getModuleIds()];
  const reached = (is) => ids.filter(is).map((id) => reachedFrom(id, getModuleInfo));
  const react = reached((id) => id.endsWith('@astrojs/react/dist/client.js'));
  // The pages of the Bench are loaded by their frame; other islands are pages, or parts of them.
  const bench = reached((id) => /\/bench\/.*Station\.tsx$/.test(id));
  const frame = reached((id) => id.endsWith('BenchIsland.tsx'));
  const others = reached((id) => id.includes('astro-entry:') && !id.endsWith('BenchIsland'));
  const count = (pages, id) => pages.filter((page) => page.has(id)).length;
  return (id) => {
    // What the bundler adds by itself is small, and everything may need it.
    if (count(react, id) > 0 || /^\0(commonjsHelpers|vite\/)/.test(id)) return 'react';
    if (id.includes('BenchIsland')) return undefined;
    const onBench = count(frame, id) > 0 ? bench.length : count(bench, id);
    const elsewhere = count(others, id);
    if (onBench > 2 && elsewhere > 2) return 'page';
    if (id.includes('node_modules')) return undefined;
    if (onBench > 1) return elsewhere > 0 ? 'bench-and-stations' : 'bench';
    return elsewhere > 1 ? 'stations' : undefined;
  };
}

/**
 * A page fetches few scripts (at most twenty), though its code stands in hundreds of files: what several pages need is
 * put together, and what would be a small script stands with what is fetched beside it.
 */
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
