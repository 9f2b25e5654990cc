import { certaintyOf } from '../board/certainty';
import { sayChange } from '../board/over-time';
import { capital, counted, listed, signed } from '../units/format';
import { sayStrokes, type StrokesAs } from '../units/strokes';

/** What a shot came to in the two tests of a block: strokes lost a shot, of so many balls each, and how likely it is that it got better. */
export type Told = { before: number; since: number; of: readonly [number, number]; chanceBetter: number };

/** What is known of a block of weeks when it is over. */
export type BlockDone = {
  /** Its days, those that were begun, and the minutes of both; those of the hours that were run, as they were. */
  days: number;
  done: number;
  minutes: number;
  minutesDone: number;
  weeks: number;
  /** How often the test was played before, and again. */
  tests: readonly [number, number];
  /** The shots that were worked on, as a coach names them, what they came to, and what change so many balls of each test would show; null: none, or not known. */
  shots: readonly { shot: string; told: Told | null; shows: number | null; balls: number }[];
};

/** What a verdict says: what was done, what changed, what that says of the plan, and what to alter. */
export type Verdict = { done: string; changes: string[]; says: string; alter: string };

/** With less than this done, nothing is said of the plan; with less than that, fewer days are advised. */
const [TOO_LITTLE, FEWER] = [0.5, 0.75];

/** So likely it has to be that a shot changed before anything is made of it; how often that is wrong prints `npm run bench:plan -- --tests`. */
export const ENOUGH = 0.9;

/** The plain verdict on a block: no certainty where there is none. */
export function verdictOf(block: BlockDone, strokes: StrokesAs): Verdict {
  const { days, done, minutes, minutesDone, shots } = block;
  const told = shots.flatMap(({ shot, told: one }) => (one ? [{ shot, chance: one.chanceBetter }] : []));
  const better = told.filter(({ chance }) => chance >= ENOUGH).map(({ shot }) => shot);
  const worse = told.filter(({ chance }) => 1 - chance >= ENOUGH).map(({ shot }) => shot);
  const leans = told.some(({ chance }) => isLikely(Math.max(chance, 1 - chance)));
  return {
    done: `${done} of ${counted(days, 'day')} done, ${minutesDone} of ${minutes} minutes.`,
    changes: shots.map((one) => sayShot(one, block.tests, strokes)),
    says: saysOf(),
    alter: alterOf(),
  };

  function saysOf(): string {
    if (days === 0) return 'Nothing was planned.';
    if (done < TOO_LITTLE * days) return 'Less than half was done, too little to judge the plan.';
    if (told.length === 0) return 'It takes both tests to see whether it helped.';
    if (better.length > 0 && worse.length === 0) return `It seems to be working: ${listed(better)} got better.`;
    if (worse.length > 0 && better.length === 0) return `It does not seem to be working: ${listed(worse)} got worse.`;
    if (better.length > 0)
      return `${capital(listed(better))} got better, ${listed(worse)} got worse: the time may have gone to one of them.`;
    if (leans) return 'There may be a change, but it is too early to say.';
    const least = Math.min(...shots.map((one) => (isPlayed(one) ? (one.shows ?? Infinity) : Infinity)));
    return Number.isFinite(least)
      ? `No change beyond luck. One of less than ${signed(least)} strokes a shot would not show.`
      : 'Any change could be luck: there are too few balls to tell.';
  }

  function alterOf(): string {
    const perWeek = Math.max(1, Math.round(done / Math.max(1, block.weeks)));
    if (days > 0 && done < FEWER * days) return `Plan ${counted(perWeek, 'day')} a week: that is what you managed.`;
    if (told.length === 0) return 'Play the test first and last next time.';
    if (worse.length > 0) return 'Change how it is practised, or ask a coach to look at the technique.';
    if (better.length > 0) return 'Move on to the next weak shot, and come back to this one now and then.';
    return 'Stay with these shots for another four weeks, or move on to the next weak shot.';
  }
}

/** With less than this of the balls that were planned a test shows less than was said. */
const ENOUGH_BALLS = 0.75;
const isPlayed = ({ told, balls }: BlockDone['shots'][number]) => told !== null && Math.min(...told.of) >= ENOUGH_BALLS * balls;

const isLikely = (chance: number) => certaintyOf(chance) !== 'too close to call';

function sayShot({ shot, told }: BlockDone['shots'][number], [before, again]: BlockDone['tests'], strokes: StrokesAs): string {
  if (!told) {
    const missing = before === 0 ? 'the first test was not played' : again === 0 ? 'the re-test was not played' : 'too few balls';
    return `${capital(shot)}: ${missing}, so there is nothing to compare.`;
  }
  const figures = `${sayStrokes(told.before, strokes)} strokes ${strokes} a shot before (${counted(told.of[0], 'ball')}), ${sayStrokes(told.since, strokes)} since (${told.of[1]})`;
  return `${capital(shot)}: ${sayChange(told.chanceBetter)}. ${figures}.`;
}
