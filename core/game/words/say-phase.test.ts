import { LIBRARY } from '../library';
import { phasesOf } from '../phases';
import { phaseInWords } from './say-phase';

const spec = LIBRARY.find(({ spec: { leadIn } }) => leadIn.length > 0)!.spec;
const [first, last] = phasesOf(spec);

test('a phase says how many balls, how they score, and what to do with the others', () => {
  expect(phaseInWords(spec, first!, 'imperial').slice(0, 2)).toEqual([
    'Five balls at each of three stations.',
    'A ball inside 6 ft is a hit.',
  ]);
  expect(phaseInWords(spec, last!, 'imperial').slice(0, 3)).toEqual([
    'One ball at each of three stations.',
    'Put the other balls away.',
    'Every ball is played into the hole; after six strokes it is picked up.',
  ]);
});

test('balls that differ from station to station are counted together, and one station needs no count', () => {
  const uneven = { ...spec, leadIn: [], stations: spec.stations.map((station, i) => ({ ...station, balls: i + 1 })) };
  expect(phaseInWords(uneven, phasesOf(uneven)[0]!, 'imperial')[0]).toBe('Six balls.');
  const alone = { ...spec, leadIn: [], stations: spec.stations.slice(0, 1) };
  expect(phaseInWords(alone, phasesOf(alone)[0]!, 'imperial')[0]).toBe('One ball.');
});
