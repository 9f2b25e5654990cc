/** Which station each group has in each round: `rounds[round][group]`, as indices of stations. */
export type Rotation = {
  rounds: number[][];
  /** Pairs of stations that are in use at once although each is in the other's line, and in how many rounds. */
  conflicts: { a: number; b: number; rounds: number }[];
};

/** Pairs of stations whose lines of play cross, as `inTheWay[a][b]`; symmetric. */
export type InTheWay = readonly (readonly boolean[])[];

/** A search gives up after so many steps; what was found without one stands. */
const MOST_STEPS = 1_500;

/**
 * Groups over stations in rounds: every group has every station `times` times, no two groups the same one at once, and no two stations are in
 * use at once that are in each other's way, where that can be had; else as few pairs of them in a round as possible.
 *
 * First it is found which stations are in use in which round: sets of as many stations as there are groups, so that each station is used as
 * often as there are visits. Then the groups are given to them: rounds against stations is a graph in which every round has as many lines as
 * there are groups, and so has every station for each of its times, and the lines of such a graph can be coloured with the groups
 * (König, Math. Ann. 77, 1916).
 * @param groups from 1 to as many as there are stations
 * @throws RangeError for more groups than stations
 */
export function rotate(stations: number, groups: number, times: number, inTheWay: InTheWay): Rotation {
  if (groups < 1 || groups > stations) throw new RangeError(`${groups} groups have no room at ${stations} stations`);
  const sets = subsets(stations, groups).map((set) => ({ set, clashes: clashesIn(set, inTheWay) }));
  const levels = [...new Set(sets.map(({ clashes }) => clashes))].toSorted((a, b) => a - b);
  for (const level of levels) {
    const allowed = sets.filter(({ clashes }) => clashes <= level).map(({ set }) => set);
    const used = cover(allowed, stations, groups, times);
    if (used) return withConflicts(assign(used, stations, groups), inTheWay);
  }
  /* istanbul ignore next: all sets together always cover, by going round */
  throw new RangeError('no rotation');
}

/** All ways to choose so many of the stations, in order. */
function subsets(of: number, size: number): number[][] {
  const found: number[][] = [];
  const choose = (from: number, set: readonly number[]) => {
    if (set.length === size) found.push([...set]);
    else for (let i = from; i <= of - (size - set.length); i++) choose(i + 1, [...set, i]);
  };
  choose(0, []);
  return found;
}

function clashesIn(set: readonly number[], inTheWay: InTheWay): number {
  let clashes = 0;
  for (let i = 0; i < set.length; i++) for (let j = 0; j < i; j++) if (inTheWay[set[i]!]![set[j]!]) clashes++;
  return clashes;
}

/** Sets for stations·times rounds that use each station groups·times times; null where none was found. */
function cover(allowed: readonly (readonly number[])[], stations: number, groups: number, times: number): number[][] | null {
  if (times > 1) {
    // What does once does again.
    const once = cover(allowed, stations, groups, 1);
    if (once) return Array.from({ length: times }, () => once).flat();
  }
  const rounds = stations * times;
  const need = new Array<number>(stations).fill(groups * times);
  const used: number[][] = [];
  let steps = 0;
  // What is still needed says all: in which order it came about does not matter.
  const inVain = new Set<string>();
  const search = (left: number): boolean => {
    if (left === 0) return true;
    const state = need.join();
    if (inVain.has(state) || ++steps > MOST_STEPS) return false;
    // A station that is needed in every round that is left is in the next one; none is needed more often than that.
    if (need.some((n) => n > left)) return false;
    const forced = need.flatMap((n, i) => (n === left ? [i] : []));
    const fits = allowed.filter((set) => set.every((i) => need[i]! > 0) && forced.every((i) => set.includes(i)));
    // Those that are needed most come first; of equals whoever was used longest ago.
    const ranked = fits
      .map((set) => ({ set, sum: set.reduce((sum, i) => sum + need[i]!, 0), again: repeats(used, set) }))
      .toSorted((a, b) => b.sum - a.sum || a.again - b.again);
    for (const { set } of ranked) {
      for (const i of set) need[i]!--;
      used.push([...set]);
      if (search(left - 1)) return true;
      used.pop();
      for (const i of set) need[i]!++;
    }
    inVain.add(state);
    return false;
  };
  return search(rounds) ? used : null;
}

const repeats = (used: readonly (readonly number[])[], set: readonly number[]) =>
  used.filter((one) => one.every((i) => set.includes(i))).length;

/** Gives the groups to the stations in use, so that each group has each station equally often. */
function assign(used: readonly (readonly number[])[], stations: number, groups: number): number[][] {
  // Each station once for every so many uses: a place that each group has exactly once.
  const seen = new Array<number>(stations).fill(0);
  const places = used.map((set) => set.map((station) => `${station} ${Math.floor(seen[station]!++ / groups)}`));
  const at = new Map<string, number[]>();
  const byRound = used.map(() => new Array<number>(groups).fill(-1));
  // `of[round][group]` is the place within the round; `at` the round in which a place has a group.
  const held = (place: string) => at.get(place) ?? at.set(place, new Array<number>(groups).fill(-1)).get(place)!;
  used.forEach((set, round) =>
    set.forEach((_, slot) => {
      const place = places[round]![slot]!;
      const free = byRound[round]!.indexOf(-1);
      const open = held(place).indexOf(-1);
      // The group that is free in the round may have had the place: then the two groups change along the way on which they take turns.
      if (held(place)[free] !== -1) exchange(round, place, free, open);
      const group = held(place)[free] === -1 && byRound[round]![free] === -1 ? free : open;
      byRound[round]![group] = slot;
      held(place)[group] = round;
    }),
  );
  return byRound.map((slots, round) => slots.map((slot) => used[round]![slot]!));

  /** Swaps two groups along the path that begins at a place: afterwards both are free there and in the round. */
  function exchange(round: number, place: string, a: number, b: number): void {
    const path: { round: number; slot: number; place: string; group: number }[] = [];
    let [where, group] = [place, a];
    for (;;) {
      const then = held(where)[group]!;
      if (then === -1) break;
      const slot = byRound[then]![group]!;
      path.push({ round: then, slot, place: where, group });
      const other = group === a ? b : a;
      const next = byRound[then]![other]!;
      if (next === -1) break;
      path.push({ round: then, slot: next, place: places[then]![next]!, group: other });
      where = places[then]![next]!;
      group = a;
      if (then === round) break;
    }
    for (const one of path) {
      byRound[one.round]![one.group] = -1;
      held(one.place)[one.group] = -1;
    }
    for (const one of path) {
      const other = one.group === a ? b : a;
      byRound[one.round]![other] = one.slot;
      held(one.place)[other] = one.round;
    }
  }
}

function withConflicts(rounds: number[][], inTheWay: InTheWay): Rotation {
  const found = new Map<string, { a: number; b: number; rounds: number }>();
  for (const round of rounds)
    for (const a of round)
      for (const b of round)
        if (a < b && inTheWay[a]![b]) {
          const key = `${a} ${b}`;
          const held = found.get(key) ?? { a, b, rounds: 0 };
          found.set(key, { ...held, rounds: held.rounds + 1 });
        }
  return { rounds, conflicts: [...found.values()].toSorted((one, other) => one.a - other.a || one.b - other.b) };
}
