/** @jest-environment node */
import { BRIEF_VERSION } from '@/core/board/brief';
import { kindsOf } from '@/core/board/kinds';
import { withoutBalls, type Skill } from '@/core/board/squad';
import { shippedReference } from '@/core/golf/reference';
import { modelOf } from '@/core/skill/model';
import { squadBoardOf } from './squad';

const mockLater: (() => Promise<void>)[] = [];
jest.mock('next/server', () => ({ after: (work: () => Promise<void>) => mockLater.push(work) }));

const model = modelOf(shippedReference);
const madeFrom = (evidenceRev: number) => `${BRIEF_VERSION} ${JSON.stringify([model.version, evidenceRev, 14, null, 60])}`;
const kinds = kindsOf(model.cells);

/** Strokes lost in the first skill; nothing is known of the others. */
const losing = (mean: number): Skill[] => [
  { mean, sd: 0.01, interval80: [mean, mean], balls: 50, level: 2 },
  ...withoutBalls(model.cells).slice(1),
];

let academies = 0;
/** The desk of a squad of two of whom all is kept. */
function desk() {
  const players = ['Ada', 'Bo'].map((name) => ({ name, evidenceRev: 1, mean: name === 'Ada' ? -0.2 : 0.5 }));
  const change = { meanwhile: () => {} };
  const listPlayers = jest.fn(async () => {
    const listed = players.map(({ name, evidenceRev }) => ({
      player: { playerId: name, name, level: 14, roundMix: null, evidenceRev },
      balls: 50,
      lastAt: new Date(0),
    }));
    change.meanwhile();
    return listed;
  });
  const data = {
    listPlayers,
    squadState: async () => JSON.stringify(players),
    keptMadeFrom: async () => new Map(players.map(({ name }) => [name, madeFrom(1)])),
    heldSkills: async (part: string, ids: string[]) =>
      new Map(
        players
          .filter(({ name }) => ids.includes(name))
          .map(({ name, mean }) => [name, { madeFrom: madeFrom(1), skills: { [part]: losing(mean) } }]),
      ),
  };
  const at = { data, academy: { academyId: `squad ${++academies}`, halfLifeDays: 60 }, model } as never;
  return { at, players, change, listPlayers };
}

test('a squad of whom all is known: who could help whom, and whose figures these are', async () => {
  const { squad, ids, levels, help, together, pending } = await squadBoardOf(desk().at, 'shot');
  expect([ids, levels, together, pending]).toEqual([['Ada', 'Bo'], [14, 14], [], false]);
  expect(squad.kinds).toEqual(kinds);
  expect(squad.common[0]).toMatchObject({ players: 2, weak: 1, mean: expect.closeTo(0.15, 10) });
  expect(help).toMatchObject([{ kind: 0, helper: 'Ada', helped: 'Bo' }]);
});

test('the same question is answered once, until something changes; a shot and in a round are two questions', async () => {
  const { at, players, listPlayers } = desk();
  const first = await squadBoardOf(at, 'shot');
  expect(await squadBoardOf(at, 'shot')).toBe(first);
  await squadBoardOf(at, 'round');
  expect(listPlayers).toHaveBeenCalledTimes(2);
  players[1]!.name = 'Bo the Second';
  expect((await squadBoardOf(at, 'shot')).ids).toEqual(['Ada', 'Bo the Second']);
  expect(listPlayers).toHaveBeenCalledTimes(3);
});

test('what is still being worked out is asked again, and so is what changed while it was made', async () => {
  const { at, players, change, listPlayers } = desk();
  players[0]!.evidenceRev = 2;
  expect([(await squadBoardOf(at, 'shot')).pending, (await squadBoardOf(at, 'shot')).pending]).toEqual([true, true]);
  expect(listPlayers).toHaveBeenCalledTimes(2);
  players[0]!.evidenceRev = 1;
  change.meanwhile = () => void (players[0]!.mean = 0.3);
  await squadBoardOf(at, 'shot');
  players[0]!.mean = -0.2;
  change.meanwhile = () => {};
  await squadBoardOf(at, 'shot');
  expect(listPlayers).toHaveBeenCalledTimes(4);
});
