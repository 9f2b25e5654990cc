import { USUAL_BAG } from '../golf/usual-bag';
import { say, TRAJECTORIES } from '../golf/words';
import type { Shot } from '../shot/shot';
import type { Standing } from './play';
import type { Turn } from '../game/turn';
import type { Side } from '../game/rules';
import { schemeOf } from '../game/scoring';
import { wordKey, type AnswerKey } from '../game/scoring/answer-keys';
import { UNKNOWN, type Result } from '../game/scoring/ball';
import type { ToBeat } from './round';
import { SIDE_BEARING } from './verdict';

/** A club as a player has it in the bag; without an id where it is not on record. */
export type BagClub = { clubId: string | null; label: string };
/** What a player plays with: the clubs, the one they use most, and their own names for swing lengths. */
export type Bag = { clubs: readonly BagClub[]; favourite: string | null; marks?: readonly string[] };

/** The clubs of somebody of whom no clubs are on record, the longest first. */
export const PLAIN_CLUBS: readonly BagClub[] = USUAL_BAG.map(({ label }) => ({ clubId: null, label }));

/** The clubs that somebody can choose from. */
export const clubsOf = ({ clubs }: Bag): readonly BagClub[] => (clubs.length > 0 ? clubs : PLAIN_CLUBS);

/** What is asked of a player, one after another, to record one ball. */
export type Question = {
  kind: 'club' | 'flight' | 'call' | 'result' | 'side' | 'kept' | 'strokes';
  title: string;
  /** `refused`: why a key can't be pressed; `despite`: which rule it breaks, where one has to give way. */
  keys: (AnswerKey & { refused?: string; despite?: string })[];
};

/** What was answered so far; `result` says whether the main question was. */
export type Answers = { given: Partial<Result>; result: boolean };
export const NO_ANSWERS: Answers = { given: {}, result: false };

/** The answers with one more key pressed. */
export function answered(answers: Answers, question: Question, key: Pick<AnswerKey, 'result'>): Answers {
  if (question.kind === 'result') return { given: { ...key.result, ...answers.given }, result: true };
  const said = Object.fromEntries(Object.entries(key.result).filter(([name, value]) => value !== UNKNOWN[name as keyof Result]));
  return { ...answers, given: { ...answers.given, ...said } };
}

/**
 * The next question about a ball; null once all is answered that this game asks.
 * @param bag the player's clubs
 * @param rival the others' balls of the round, where players are compared
 */
export function nextQuestion(
  standing: Standing,
  turn: Turn,
  bag: Bag,
  { given, result }: Answers,
  rival: ToBeat | null = null,
): Question | null {
  const { phase, open } = standing;
  const { rules, scoring } = phase;
  if (!result) {
    if (choosesClub(standing, turn) && given.clubLabel === undefined) return clubQuestion(standing, turn, bag);
    if (rules.shotOnce && turn.station.trajectory === null && given.trajectory === undefined) return flightQuestion(standing, turn, given);
    if (schemeOf(scoring).calls(scoring) && given.called === undefined) return callQuestion;
    const keys = schemeOf(scoring).asks(phase, turn.station, setOf(open, turn).length);
    return { kind: 'result', title: '', keys: rival ? comparedKeys(keys, rival) : keys };
  }
  if (rules.goodSide !== null && !given.holed && given.bearingDeg == null) return sideQuestion(rules.goodSide);
  if (schemeOf(scoring).sees(scoring).includes('executed') && given.executed === undefined) return keptQuestion(given.called);
  if (rules.puttOut === 'each' && given.strokes === undefined && !given.holed) return strokesQuestion;
  return null;
}

/** The balls that can follow one without anything changing: of the same kind, at the same station, one after another. */
function setOf(open: readonly Turn[], turn: Turn): readonly Turn[] {
  const kindOf = ({ station, asked }: Turn) => `${station.key}|${JSON.stringify(asked)}`;
  const from = open.findIndex(({ turnNo }) => turnNo === turn.turnNo);
  const end = open.findIndex((one, i) => i > from && kindOf(one) !== kindOf(turn));
  return from < 0 ? [turn] : open.slice(from, end < 0 ? open.length : end);
}

/** Whether the rules of the game make the club a choice of each ball. */
export function choosesClub({ phase: { rules, scoring } }: Pick<Standing, 'phase'>, turn: Turn): boolean {
  if (turn.station.club !== null || schemeOf(scoring).clubs) return false;
  return rules.clubOnce || rules.clubsApart || rules.favouriteBanned || rules.shotOnce;
}

function clubQuestion(standing: Standing, turn: Turn, bag: Bag): Question {
  const clubs = clubsOf(bag);
  const why = (label: string) => refusedBy(standing, turn, { ...bag, clubs }, label);
  // Where the rules leave no club at all, the player picks which of them gives way.
  const none = clubs.every(({ label }) => why(label) !== null);
  return {
    kind: 'club',
    title: none ? 'The rules leave no club. Which one did you use?' : 'Which club?',
    keys: clubs.map(({ clubId, label }) => {
      const reason = why(label);
      return {
        ...wordKey(label, label, { clubId, clubLabel: label }),
        ...(reason === null ? {} : none ? { despite: reason } : { refused: reason }),
      };
    }),
  };
}

/** Why a club may not be used for a ball; null where it may. Where the rules leave no club at all, all may. */
export function clubRefusal(standing: Standing, turn: Turn, bag: Bag, label: string): string | null {
  const refusal = (club: string) => refusedBy(standing, turn, bag, club);
  return bag.clubs.every((club) => refusal(club.label) !== null) ? null : refusal(label);
}

/** Why the rules don't allow a club for a ball, whatever others there are; null where they do. */
export function refusedBy({ phase: { rules, index }, played }: Standing, turn: Turn, bag: Bag, label: string): string | null {
  const here = played.filter((shot) => shot.phase === index && shot.turnNo !== turn.turnNo);
  const place = (club: string | null) => bag.clubs.findIndex((one) => one.label === club);
  const last = here.at(-1)?.clubLabel ?? null;
  if (rules.favouriteBanned && label === bag.favourite) return 'the favourite';
  if (rules.clubOnce && here.some((shot) => shot.clubLabel === label)) return 'used';
  if (rules.clubsApart && last !== null && Math.abs(place(label) - place(last)) === 1) return 'a neighbour';
  if (rules.shotOnce && flightsLeft(here, turn, label).length === 0) return 'used';
  return null;
}

/** The flights that were not yet played with a club at a station. */
function flightsLeft(played: readonly Shot[], turn: Turn, club: string | undefined | null) {
  const open = turn.station.trajectory === null ? TRAJECTORIES : [turn.station.trajectory];
  const same = played.filter((shot) => shot.stationKey === turn.station.key && shot.clubLabel === club);
  return open.filter((flight) => !same.some((shot) => shot.trajectory === flight));
}

function flightQuestion({ played, phase }: Standing, turn: Turn, given: Partial<Result>): Question {
  const left = flightsLeft(
    played.filter((shot) => shot.phase === phase.index),
    turn,
    given.clubLabel,
  );
  return {
    kind: 'flight',
    title: 'Which flight?',
    keys: TRAJECTORIES.map((flight) => ({
      ...wordKey(flight, flight, { trajectory: flight }),
      ...(left.length > 0 && !left.includes(flight) ? { refused: 'played' } : {}),
    })),
  };
}

const SIDE_WORDS: Readonly<Record<Side, [string, Side, string]>> = {
  long: ['past the hole', 'short', 'short of it'],
  short: ['short of the hole', 'long', 'past it'],
  left: ['left of the hole', 'right', 'right of it'],
  right: ['right of the hole', 'left', 'left of it'],
};

/** With a ball of which only the ring is known, a bearing of exactly one side says that side and no more. */
function sideQuestion(good: Side): Question {
  const [here, bad, there] = SIDE_WORDS[good];
  return {
    kind: 'side',
    title: 'Which side did it stop on?',
    keys: [wordKey(good, here, { bearingDeg: SIDE_BEARING[good] }), wordKey(bad, there, { bearingDeg: SIDE_BEARING[bad] })],
  };
}

/** In words of one's own, or aloud. */
const callQuestion: Question = {
  kind: 'call',
  title: 'Call the shot',
  keys: [wordKey('aloud', 'called aloud', { called: '' })],
};

const keptQuestion = (called: string | null | undefined): Question => ({
  kind: 'kept',
  title: called ? `Called: ${called}. Kept?` : 'Was the call kept?',
  keys: [wordKey('kept', 'kept', { executed: true }), wordKey('broken', 'not kept', { executed: false })],
});

/**
 * Where another ball of the round is down, one can say without a figure whether this one is nearer. Farther is anywhere beyond it, so that
 * the key for outside goes, unless the other is outside itself.
 */
function comparedKeys(keys: readonly AnswerKey[], { leftM, unmeasured, holed }: ToBeat): AnswerKey[] {
  const inPlay = leftM !== null || unmeasured;
  return keys.flatMap((key) => {
    if (key.kind === 'outside') return inPlay ? [] : [key];
    if (key.key !== 'unmeasured') return [key];
    const nearer = wordKey('nearer', 'nearer', { leftMinM: 0, leftMaxM: Math.min(leftM ?? Infinity, key.edgeM!), nearer: true });
    const farther = wordKey('farther', 'farther', { leftMinM: leftM ?? 0, nearer: false });
    if (holed) return [farther];
    return inPlay ? [nearer, farther] : [nearer];
  });
}

/** How a ball was finished: at once, or when all are putted out. */
export const strokesQuestion: Question = {
  kind: 'strokes',
  title: 'Strokes to finish, this one included',
  keys: [2, 3, 4, 5, 6].map((strokes) => wordKey(String(strokes), strokes === 6 ? '6 or up' : String(strokes), { strokes })),
};

/** What is asked of a ball beyond its station: "low draw", "with the PW". */
export function sayAsked(turn: Turn): string {
  const { trajectory, shape, swingWidth, club, route } = turn.asked;
  const words = [route, trajectory, shape, swingWidth && `${say(swingWidth)} swing`].filter(Boolean).join(' ');
  const named = club ?? turn.station.club;
  return [words, named && `with the ${named}`].filter(Boolean).join(', ');
}
