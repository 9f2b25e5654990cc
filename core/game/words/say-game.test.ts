import { game, station } from '../../testing/make';
import { gameFor, plainEntrant } from '../entrant';
import { LIBRARY } from '../library';
import { sayKey } from './say-key';
import { sayWhere } from './say-station';
import { rulesInWords, sayTime, scoringInWords } from './say-game';
import { phasesOf } from '../phases';
import { schemeOf } from '../scoring';

const of = (key: string) => LIBRARY.find((entry) => entry.key === key)!.spec;

test('how a game is scored is said with its figures, in the reader’s units', () => {
  const words = (key: string) => scoringInWords(of(key).scoring, of(key).sizes, 'imperial');
  expect(scoringInWords(game().scoring, game().sizes, 'metric')).toBe(
    'Holed: 6; inside 0.9 m: 4; inside 1.8 m: 2; inside 3 m: 1; outside: 0. A ball on the line scores the inner ring.',
  );
  expect(words('roll-call')).toBe('A ball inside 2 clubs is a hit.');
  expect(words('rope-ladder')).toBe(
    'A ball in the hole climbs one rung, a miss drops one, the lowest rung is a floor. Fewest balls wins; 40 balls at most.',
  );
  expect(words('stone-and-hearth')).toBe('The ball lands within 4 ft of the line, short or long, and finishes inside 8 ft.');
  expect(words('say-it-first')).toBe(
    'The nearest to the hole takes the point. Equally near: each takes it. All balls are played. The shot is called first; a kept call earns 1.',
  );
});

test('a game in somebody’s own lengths says the same count on the card as on the key', () => {
  const spec = of('roll-call');
  const own = gameFor(spec, { ...plainEntrant('p'), unitM: 1 });
  const [key] = schemeOf(own.scoring)
    .asks(phasesOf(own)[0]!, own.stations[0]!)
    .filter(({ kind }) => kind === 'ring');
  expect(sayKey(key!, own.sizes, 'imperial', 'hole')).toBe('2 clubs');
  expect(scoringInWords(own.scoring, own.sizes, 'imperial')).toBe('A ball inside 2 clubs is a hit.');
});

test('every game of the library can be said, in both systems', () => {
  for (const { spec } of LIBRARY)
    for (const system of ['imperial', 'metric'] as const) {
      expect(scoringInWords(spec.scoring, spec.sizes, system)).toMatch(/\.$/);
      for (const line of rulesInWords(spec, system)) expect(line).toMatch(/^[A-Z].*\.$/);
    }
});

test('only rules that are not plain are said, with what they cost', () => {
  expect(rulesInWords(game({ stations: [station('a')] }), 'imperial')).toEqual(['Balls are dropped.']);
  expect(rulesInWords(of('sand-glass'), 'imperial')).toContain('Off the green costs 1 point.');
  expect(rulesInWords(of('past-the-cup'), 'imperial')).toContain('Only past the hole counts.');
  expect([sayTime(90), sayTime(600)]).toEqual(['1 min 30 s', '10 min']);
});

test('keys are named by what they stand for', () => {
  const keys = (key: string) => {
    const phase = phasesOf(of(key)).at(-1)!;
    return schemeOf(phase.scoring)
      .asks(phase, phase.stations[0]!)
      .map((one) => sayKey(one, phase.sizes, 'imperial', phase.stations[0]!.target));
  };
  expect(keys('roll-call')).toEqual(['Holed', '2 clubs', 'out']);
  expect(keys('unbroken')).toEqual(['Holed', 'Missed']);
  expect(keys('reckoning')).toEqual(['Holed', 'outside 30\u00a0ft']);
  expect(sayKey({ kind: 'holed', text: null, edgeM: null }, game().sizes, 'imperial', 'peg')).toBe('Struck');
});

test('where a station is: its number among several, its hole, its name', () => {
  const said = { hole: 'B', name: 'behind the bunker' };
  expect(sayWhere(said, 3, 7)).toBe('Station 3 · hole B · behind the bunker');
  expect(sayWhere({ hole: '', name: '' }, 2, 7)).toBe('Station 2');
  expect(sayWhere({ hole: '', name: '' }, 1, 1)).toBe('');
});
