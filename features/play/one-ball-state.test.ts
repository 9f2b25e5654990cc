import { playSession } from '@/core/play/play';
import { plainEntrant } from '@/core/game/entrant';
import { game, idOf } from '@/core/testing/make';
import { nextQuestion, NO_ANSWERS, type Bag } from '@/core/play/questions';
import { ballAfter, newBall, type OneBallState } from './one-ball-state';

const spec = game({ rules: { ...game().rules, clubOnce: true, goodSide: 'long' } });
const standing = playSession(spec, [plainEntrant(idOf(1))], []).standings[0]!;
const bag: Bag = { clubs: ['PW', '54°'].map((label) => ({ clubId: null, label })), favourite: null };
const asked = ({ answers }: OneBallState) => nextQuestion(standing, standing.next!, bag, answers);
const press = (state: OneBallState, name: string) => {
  const question = asked(state)!;
  return ballAfter(state, { do: 'answer', question, key: question.keys.find(({ key }) => key === name)! });
};

test('a ball is asked about until all is said: the club, where it stopped, on which side', () => {
  const fresh = newBall('keys');
  expect(asked(fresh)?.kind).toBe('club');
  const club = press(fresh, '54°');
  expect(asked(club)?.kind).toBe('result');
  const ring = press(club, asked(club)!.keys.find(({ kind }) => kind === 'ring')!.key);
  expect(asked(ring)?.kind).toBe('side');
  const done = press(ring, 'long');
  expect([asked(done), done.answers.given.clubLabel, done.answers.given.bearingDeg]).toEqual([null, '54°', 0]);
});

test('back takes back all that was answered, and leaves how the ball is entered', () => {
  const typing = ballAfter(press(newBall('keys'), 'PW'), { do: 'enter', entry: { way: 'type' } });
  const back = ballAfter(typing, { do: 'back' });
  expect([back.answers, back.entry]).toEqual([NO_ANSWERS, { way: 'type' }]);
});

test('the sheet opens over a ball and loses nothing of it', () => {
  const placed = ballAfter(press(newBall('keys'), 'PW'), { do: 'enter', entry: { way: 'place', place: { right: 1, beyond: -2 } } });
  const open = ballAfter(placed, { do: 'openSheet' });
  expect([open.sheet, ballAfter(open, { do: 'closeSheet' })]).toEqual([true, placed]);
});
