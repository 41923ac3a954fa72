/** Every way to take one item of each list. */
export function cartesianProduct<Item>(lists: readonly (readonly Item[])[]): readonly (readonly Item[])[] {
  return lists.reduce<readonly (readonly Item[])[]>((all, items) => all.flatMap((taken) => items.map((item) => [...taken, item])), [[]]);
}

/** Items that have the same key together, in the order in which they came. */
export function groupBy<Item>(items: readonly Item[], keyOf: (item: Item) => string): readonly (readonly Item[])[] {
  const groups = new Map<string, Item[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return [...groups.values()];
}
