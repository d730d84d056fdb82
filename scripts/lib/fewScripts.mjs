/** A page fetches at most so many of the scripts that pages share; what is its own, and what all share, comes on top. */
const MOST_SHARED = 10;

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

/** What each page needs before it can be used: an island, or a procedure of the Bench with its frame. */
function pagesOf({ getModuleIds, getModuleInfo }) {
  const ids = [...getModuleIds()];
  const reached = (is) => ids.filter(is).map((id) => reachedFrom(id, getModuleInfo));
  const isLoadedLater = (id) => (getModuleInfo(id)?.dynamicImporters.length ?? 0) > 0;
  const [frame] = reached((id) => id.endsWith('BenchIsland.tsx'));
  const islands = reached((id) => id.includes('astro-entry:') && !id.endsWith('BenchIsland'));
  const procedures = reached((id) => id.includes('/stations/bench/') && isLoadedLater(id));
  return [...islands, ...procedures.map((procedure) => new Set([...procedure, ...frame]))];
}

/** The places of the bits that are set. */
function bitsSet(bits) {
  const places = [];
  for (let place = 0, left = bits; left !== 0n; place += 1, left >>= 1n)
    if ((left & 1n) === 1n) places.push(place);
  return places;
}

/** Modules that just the same pages need, those as bits; with the groups from which they import. */
function groupsOf(modules) {
  const groups = new Map();
  for (const { id, pages, size } of modules) {
    if (!groups.has(pages)) groups.set(pages, { pages, size: 0, ids: [], imports: new Set() });
    const group = groups.get(pages);
    group.size += size;
    group.ids.push(id);
  }
  const groupOf = new Map(
    [...groups.values()].flatMap((group) => group.ids.map((id) => [id, group])),
  );
  for (const { id, imports } of modules)
    for (const imported of imports)
      if (groupOf.has(imported)) groupOf.get(id).imports.add(groupOf.get(imported));
  return [...groups.values()];
}

/**
 * What pages each group is fetched by when two of them become one: whoever fetches a script fetches what it imports,
 * so that no script needs itself round a circle.
 */
function whenJoined(a, b) {
  const fetchedBy = new Map();
  const open = [a, b].map((group) => [group, a.pages | b.pages]);
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const [group, pages] = next;
    const before = fetchedBy.get(group) ?? group.pages;
    const after = before | pages;
    if (fetchedBy.has(group) && after === before) continue;
    fetchedBy.set(group, after);
    for (const imported of group.imports)
      if ((after & ~(fetchedBy.get(imported) ?? imported.pages)) !== 0n)
        open.push([imported, after]);
  }
  return fetchedBy;
}

/** By how much pages grow; of those that are large already it counts for far more. */
const costOf = (fetchedBy, sizes) =>
  [...fetchedBy].reduce(
    (sum, [group, after]) =>
      sum +
      bitsSet(after & ~group.pages).reduce((all, page) => all + group.size * sizes[page] ** 2, 0),
    0,
  );

/** The two groups of a page that are joined for the least. */
function cheapestOf(groups, sizes) {
  let best = { cost: Infinity, fetchedBy: new Map() };
  for (const [i, a] of groups.entries())
    for (const b of groups.slice(i + 1)) {
      const fetchedBy = whenJoined(a, b);
      const cost = costOf(fetchedBy, sizes);
      if (cost < best.cost) best = { cost, fetchedBy };
    }
  return best.fetchedBy;
}

/** The modules in groups, of which no page needs more than so many. */
function fewGroups(modules, pages) {
  const sizes = pages.map((_, i) =>
    modules.reduce((sum, one) => (bitsSet(one.pages).includes(i) ? sum + one.size : sum), 0),
  );
  for (;;) {
    const groups = groupsOf(modules);
    const ofPage = pages.map((_, i) =>
      groups.filter((group) => ((group.pages >> BigInt(i)) & 1n) === 1n),
    );
    const fullest = ofPage.reduce((most, one) => (one.length > most.length ? one : most), []);
    if (fullest.length <= MOST_SHARED) return groups;
    const fetchedBy = cheapestOf(fullest, sizes);
    for (const [group, after] of fetchedBy) {
      const ids = new Set(group.ids);
      for (const one of modules) if (ids.has(one.id)) one.pages = after;
    }
  }
}

/** The script of each module that several pages need. */
function scriptsOf(info) {
  const { getModuleIds, getModuleInfo } = info;
  const pages = pagesOf(info);
  const [react] = [...getModuleIds()]
    .filter((id) => id.endsWith('@astrojs/react/dist/client.js'))
    .map((id) => reachedFrom(id, getModuleInfo));
  const laterToo = new Set(
    [...getModuleIds()]
      .filter((id) => (getModuleInfo(id)?.dynamicImporters.length ?? 0) > 0)
      .filter((id) => !pages.some((page) => page.has(id)))
      .flatMap((id) => [...reachedFrom(id, getModuleInfo)]),
  );
  const bitsOf = (id) =>
    pages.reduce((bits, page, i) => (page.has(id) ? bits | (1n << BigInt(i)) : bits), 0n);
  const modules = [...getModuleIds()].flatMap((id) => {
    const bits = bitsOf(id);
    // The frame of the Bench waits for the page within it, which must not wait for the frame.
    const ofOne = bits === 0n || (bitsSet(bits).length === 1 && !laterToo.has(id));
    if (react.has(id) || id.includes('BenchIsland') || ofOne) return [];
    const { code, importedIds } = getModuleInfo(id);
    return [{ id, pages: bits, size: code?.length ?? 0, imports: importedIds }];
  });
  const scripts = new Map([...react].map((id) => [id, 'react']));
  fewGroups(modules, pages).forEach(({ ids }, i) =>
    ids.forEach((id) => scripts.set(id, `shared-${i}`)),
  );
  return scripts;
}

/** A page fetches few scripts (at most twenty), though its code stands in hundreds of files, and little that it does not need. */
export const fewScripts = {
  name: 'few-scripts',
  apply: ({ build }) => !build?.ssr,
  outputOptions(options) {
    let scripts;
    return {
      ...options,
      onlyExplicitManualChunks: true,
      manualChunks: (id, info) =>
        // What the bundler adds by itself is small, and everything may need it.
        /^\0(commonjsHelpers|vite\/)/.test(id) ? 'react' : (scripts ??= scriptsOf(info)).get(id),
    };
  },
};
