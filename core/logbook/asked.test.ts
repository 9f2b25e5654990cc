import fc from 'fast-check';
import { asLogbookQuery, LOGBOOK_COLUMNS, LOGBOOK_SORTS, readLogbookAsked, tagsSchema, tagsTyped, type LogbookAsked } from './asked';

const read = (query: string) => readLogbookAsked(Object.fromEntries(new URLSearchParams(query)));
const ID = '6d1cbb6e-5a5a-4a5e-9d8e-1f2f3f4f5f6f';

test('what is asked stands in the address and is read back from it', () => {
  const day = fc
    .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
    .map((date) => date.toISOString().slice(0, 10));
  const asked = fc
    .record({
      filter: fc.record(
        {
          find: fc.string({ minLength: 1, maxLength: 60 }).filter((text) => text.trim() === text && text !== ''),
          playerId: fc.uuid(),
          gameId: fc.uuid(),
          surface: fc.constantFrom('fairway', 'sand'),
          ground: fc.constantFrom('firm', 'wet'),
          from: day,
          to: day,
          goal: fc.constantFrom('met', 'missed'),
          several: fc.constant('yes'),
          tag: fc.string({ minLength: 1, maxLength: 30 }),
          ids: fc.array(fc.uuid(), { minLength: 1, maxLength: 100 }).map((ids) => ids.join(',')),
        },
        { requiredKeys: [] },
      ),
      sort: fc.constantFrom(...LOGBOOK_SORTS),
      id: fc.option(fc.uuid()),
      title: fc.string({ maxLength: 80 }),
      without: fc.subarray([...LOGBOOK_COLUMNS]),
    })
    .map(({ filter, sort, id, title, without }) => {
      const by = sort === 'game' ? title : '2026-05-01T18:00:00.123456Z';
      return { filter, sort, after: id === null ? null : { by, sessionId: id }, without } as LogbookAsked;
    });
  fc.assert(fc.property(asked, (one) => expect(read(asLogbookQuery(one))).toEqual(one)));
});

test('what makes no sense is passed over', () => {
  expect(read('?playerId=nobody&goal=perhaps&from=2026-13-40&sort=luck&without=who,tags&surface=moon')).toEqual({
    filter: {},
    sort: 'newest',
    after: null,
    without: ['tags'],
  });
  for (const after of ['', 'x', `~${ID}`, `2026-05-01~${ID}`, `2026-99-01T18:00:00.123456Z~${ID}`, '2026-05-01T18:00:00.123456Z~x'])
    expect(readLogbookAsked({ after }).after).toBeNull();
  expect(readLogbookAsked({ find: ['a', 'b'], after: [1] })).toMatchObject({ filter: {}, after: null });
});

test('tags are trimmed, each once however it is spelled; ten of 30 letters at most', () => {
  expect(tagsTyped(' league,  wet   spring , League,, ')).toEqual(['League', 'wet spring']);
  expect(tagsTyped('')).toEqual([]);
  expect(tagsSchema.safeParse(tagsTyped('x'.repeat(31))).success).toBe(false);
  expect(tagsSchema.safeParse(Array.from({ length: 11 }, (_, i) => `t${i}`)).success).toBe(false);
});
