import { say, TRAJECTORIES, type Surface } from '../golf/words';
import type { Hand } from '../golf/words';
import { capital, formatLeft } from '../units/format';
import type { UnitSystem } from '../units/length';
import { SAME_STROKES } from './landing-chances';
import type { LandingOption, OptionAnswer } from './landing-options';

/** A smaller share of the balls apart than this: no difference that the model could see. */
const SAME_SHARE = 0.02;

export type Best = { option: LandingOption; reason: string };

/** The best shot of each flight, the fewest strokes first (where a flight has none, the next best of the others), each with its reason in a line. */
export function bestOf(options: readonly OptionAnswer[]): Best[] {
  const found = options.filter((one) => one.answer === 'found').toSorted((one, other) => one.chances.strokes - other.chances.strokes);
  const ofFlights = TRAJECTORIES.flatMap((flight) => found.find((one) => one.flight === flight) ?? []);
  const others = found.filter((one) => !ofFlights.includes(one)).slice(0, 3 - ofFlights.length);
  const best = [...ofFlights, ...others].toSorted((one, other) => one.chances.strokes - other.chances.strokes);
  return best.map((option) => ({ option, reason: reasonFor(option, best, found.length) }));
}

/** What speaks for one of the best: that of which it has most among them. */
function reasonFor(option: LandingOption, best: readonly LandingOption[], found: number): string {
  if (found === 1) return 'The only shot that holds this green.';
  const others = best.filter((one) => one !== option);
  const leads = (of: (one: LandingOption) => number, by: number) => others.every((one) => of(one) >= of(option) + by);
  const inHundred = (share: number) => `${Math.round(100 * share)} in 100`;
  const { chances, pace } = option;
  const reasons = [
    leads((one) => one.chances.offGreen, SAME_SHARE) && `Stays on the green most often: ${inHundred(1 - chances.offGreen)}.`,
    leads((one) => -one.chances.within, SAME_SHARE) && `Finishes within a club-length most often: ${inHundred(chances.within)}.`,
    leads((one) => -one.landingDeg, 1) && 'Comes down steepest, so the bounce matters least.',
    leads((one) => one.carryM, 0.3) && 'The shortest swing of the three: it rolls the most.',
    leads((one) => (one.pace.longM ?? Infinity) + Math.abs(one.pace.shortM ?? Infinity), 0.05) &&
      pace.longM !== null &&
      'A pace short or long on the landing costs least.',
  ];
  return reasons.find((reason) => typeof reason === 'string') ?? 'Halfway between the other two.';
}

/** What the best of them say together in a sentence: whether one is better, or none. */
export function sayBest(best: readonly Best[], options: readonly OptionAnswer[]): string {
  const [first, second, third] = best.map(({ option }) => option);
  if (!first) return sayNoShot(options);
  if (!second) return 'Only one shot works here.';
  const behind = second.chances.strokes - first.chances.strokes;
  if (behind >= SAME_STROKES) return `${capital(first.club.label)}, ${first.flight}, is best by ${behind.toFixed(2)} strokes.`;
  if (!third || third.chances.strokes - first.chances.strokes < SAME_STROKES) return 'Little between these: play the one you trust.';
  return `${capital(first.club.label)}, ${first.flight}, or ${second.club.label}, ${second.flight}: little between them.`;
}

/** Why there is no shot at all. */
export function sayNoShot(options: readonly OptionAnswer[]): string {
  const has = (answer: OptionAnswer['answer']) => options.some((one) => one.answer === answer);
  if (has('will_not_stop')) return 'Will not stop: the green falls too steeply for its speed. Play for the widest part below the hole.';
  if (has('no_reliable_spot'))
    return 'No reliable landing spot: a hair short stays in the rough, a hair long runs past. Play to another part of the green.';
  if (has('cannot_hold'))
    return 'No reliable landing spot: every club that gets there would land in the rough. Play to another part of the green.';
  return 'Too far for these clubs.';
}

const ANSWERS: Readonly<Record<Exclude<OptionAnswer['answer'], 'found'>, string>> = {
  will_not_stop: 'won’t stop',
  no_reliable_spot: 'no spot',
  too_far: 'too far',
  cannot_hold: 'rough',
};
/** Why one club and flight have no shot, as short as stands in a table: "rough" would land there. */
export const sayAnswer = (answer: keyof typeof ANSWERS): string => ANSWERS[answer];

/** A landing that is not on the green, as a warning: "lands on the fringe". */
export const sayLandsOn = (surface: Surface): string | null =>
  surface === 'green' ? null : `lands on ${surface === 'bare' ? '' : 'the '}${say(surface)}`;

/** Less to the side than this is aiming at the hole, in metres: half a foot. */
const ASIDE_M = 0.1524;

/** How far beside the hole to aim, and why: a side slope takes the run, or a ball above or below the feet starts to a side. Null where it is next to nothing. */
export function sayAimOff(
  { driftM, pullDeg }: Pick<LandingOption, 'driftM' | 'pullDeg'>,
  distanceM: number,
  handed: Hand,
  units: UnitSystem,
): string | null {
  const startsM = (handed === 'left' ? 1 : -1) * distanceM * Math.tan((pullDeg * Math.PI) / 180);
  const goesM = startsM + driftM;
  if (Math.abs(goesM) < ASIDE_M) return null;
  const side = (metres: number) => (metres > 0 ? 'right' : 'left');
  const reasons = [
    Math.abs(startsM) >= ASIDE_M && `a ball ${pullDeg > 0 ? 'above' : 'below'} your feet starts ${side(startsM)}`,
    Math.abs(driftM) >= ASIDE_M && `the slope takes it ${side(driftM)}`,
  ];
  // No finer than anybody could aim: half feet, or tenths of a metre.
  const step = units === 'metric' ? 0.1 : ASIDE_M;
  const asideM = Math.max(1, Math.round(Math.abs(goesM) / step)) * step;
  const aside = units === 'metric' ? `${asideM.toFixed(1)} m` : formatLeft(asideM, units);
  return `Aim about ${aside} ${side(-goesM)} of the hole: ${reasons.filter(Boolean).join(', and ')}.`;
}

/** What sand gets: words, no figures. */
export const SAND_WORDS =
  'Sand varies too much from bunker to bunker for figures. Land it a third to halfway from the edge to the hole, and hit a few practice balls to see how this sand plays.';

/** What is taken for granted, a line each. */
export const TAKEN_FOR_GRANTED: readonly string[] = [
  'An even slope from the edge to the hole. Where to aim on a side slope is an estimate: read it yourself.',
  'A slope under your feet is taken as 5°, about one in eleven, and the swing as following it.',
  'Fat and thin shots are not in the chances.',
  'Bounce and friction of turf are estimates. Drop three balls and see what this green does, then trust that.',
];
