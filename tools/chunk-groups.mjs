// Which scripts are joined into one.

/** What asking for one more script costs, in bytes that could be read meanwhile: our estimate, of a round trip within one machine. */
const REQUEST_BYTES = 4000;
/** More no page is made to bring, bytes as built: packed it is about a third of that. */
const MOST_BYTES = 470_000;

/**
 * Joins scripts two at a time, the best two first, for as long as that spares more than it costs: a page that needs both asks once, and
 * one that needs one of them is sent the other for nothing. Two are never joined where one would then need itself by way of a third, or
 * where a page would bring too much.
 *
 * @param pages - how much each page counts, how large it is with all that it brings, and which scripts it brings
 * @param chunks - the scripts, their sizes and which others they import
 * @returns the name of the group of each script that is joined with others
 */
export function groupsOf({ pages, chunks }) {
  const groups = new Map(chunks.map(({ file, bytes }) => [file, { files: [file], bytes, users: pages.map(({ brings }) => brings.includes(file)) }]));
  const home = new Map(chunks.map(({ file }) => [file, file]));
  const needs = new Map(chunks.map(({ file, needs: imported }) => [file, imported]));
  const brought = pages.map(({ bytes }) => bytes);
  const weightOf = (users) => pages.reduce((sum, { counts }, i) => sum + (users[i] ? counts : 0), 0);

  const neededBy = (name) =>
    new Set(
      groups
        .get(name)
        .files.flatMap((file) => needs.get(file))
        .map((file) => home.get(file)),
    );
  /** Whether one group needs another by way of a third. */
  const isRoundabout = (from, to) => {
    const seen = new Set([from, to]);
    const waiting = [...neededBy(from)].filter((name) => !seen.has(name));
    for (const name of waiting) {
      seen.add(name);
      for (const next of neededBy(name)) {
        if (next === to) return true;
        if (!seen.has(next)) {
          seen.add(next);
          waiting.push(next);
        }
      }
    }
    return false;
  };
  /** What a page is sent for nothing once two groups are one. */
  const wasted = (one, two, page) => (one.users[page] === two.users[page] ? 0 : one.users[page] ? two.bytes : one.bytes);
  const isTooMuch = (one, two) => pages.some((_page, i) => wasted(one, two, i) > 0 && brought[i] + wasted(one, two, i) > MOST_BYTES);
  const spared = (a, b) => {
    const both = weightOf(a.users.map((used, i) => used && b.users[i]));
    return both * REQUEST_BYTES - (weightOf(b.users) - both) * a.bytes - (weightOf(a.users) - both) * b.bytes;
  };

  const offers = new Map();
  const keyOf = (a, b) => [a, b].sort().join(' ');
  const offer = (a, b) => {
    const gain = spared(groups.get(a), groups.get(b));
    if (gain > 0) offers.set(keyOf(a, b), { a, b, gain });
  };
  const names = [...groups.keys()];
  names.forEach((a, i) => names.slice(i + 1).forEach((b) => offer(a, b)));
  while (offers.size > 0) {
    const [key, { a, b }] = [...offers].reduce((best, next) => (next[1].gain > best[1].gain ? next : best));
    offers.delete(key);
    const [one, two] = [groups.get(a), groups.get(b)];
    if (isRoundabout(a, b) || isRoundabout(b, a) || isTooMuch(one, two)) continue;
    pages.forEach((_page, i) => (brought[i] += wasted(one, two, i)));
    groups.set(a, { files: [...one.files, ...two.files], bytes: one.bytes + two.bytes, users: one.users.map((used, i) => used || two.users[i]) });
    groups.delete(b);
    for (const file of two.files) home.set(file, a);
    for (const [other, { a: left, b: right }] of offers) if ([left, right].some((name) => name === a || name === b)) offers.delete(other);
    for (const name of groups.keys()) if (name !== a) offer(a, name);
  }
  const joined = [...groups.values()].filter(({ files }) => files.length > 1);
  return new Map(joined.flatMap(({ files }, i) => files.map((file) => [file, `chunk-joined-${i}`])));
}
