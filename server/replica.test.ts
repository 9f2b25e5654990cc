/** @jest-environment node */
type Fake = { name: string; lsn: string; broken?: Error };
const mockPrimary: Fake = { name: 'primary', lsn: '0/10' };
const mockReplica: Fake = { name: 'replica', lsn: '0/10' };
const mockEnv: { REPLICA_URL?: string } = {};
const mockFake = (of: Fake) => ({
  of,
  execute: async () => {
    if (of.broken) throw of.broken;
    return { rows: [{ lsn: of.lsn }] };
  },
});
jest.mock('./env', () => ({ env: () => mockEnv }));
jest.mock('./db', () => ({ database: () => mockFake(mockPrimary) }));
jest.mock('./log', () => ({ log: { warn: () => undefined } }));
jest.mock('@/db/client', () => ({ openDb: () => ({ db: mockFake(mockReplica), pool: {} }) }));

/** As the library tells of a question that failed. */
const failed = (code: string) => new Error('Failed query', { cause: Object.assign(new Error('no'), { code }) });
const who = async (db: unknown) => {
  const { of, execute } = db as ReturnType<typeof mockFake>;
  await execute();
  return of.name;
};

const fresh = async () => {
  jest.resetModules();
  delete (globalThis as { inchGameReplica?: unknown }).inchGameReplica;
  Object.assign(mockReplica, { lsn: '0/10', broken: undefined });
  mockEnv.REPLICA_URL = 'postgres://other';
  return (await import('./replica')).reading;
};

test('without a replica the primary is asked', async () => {
  const reading = await fresh();
  delete mockEnv.REPLICA_URL;
  expect(await reading(who)).toBe('primary');
});

test('one that has everything is asked, one that is behind is not, nor one that replays nothing', async () => {
  const reading = await fresh();
  expect(await reading(who)).toBe('replica');
  mockPrimary.lsn = '0/20';
  expect(await reading(who)).toBe('primary');
  mockReplica.lsn = '0/20';
  expect(await reading(who)).toBe('replica');
  const promoted = await fresh();
  mockReplica.lsn = null as never;
  expect(await promoted(who)).toBe('primary');
  mockPrimary.lsn = '0/10';
});

test.each(['ECONNREFUSED', '57P01', '40001', '25006'])(
  'one that is away (%s) is left alone for a moment, and nobody hears of it',
  async (code) => {
    const reading = await fresh();
    mockReplica.broken = failed(code);
    expect(await reading(who)).toBe('primary');
    delete mockReplica.broken;
    expect(await reading(who)).toBe('primary');
    jest.useFakeTimers({ now: Date.now() + 6000, doNotFake: ['performance', 'setTimeout'] });
    expect(await reading(who)).toBe('replica');
    jest.useRealTimers();
  },
);

test('what is wrong with the question itself is told, and asked of nobody else', async () => {
  const reading = await fresh();
  const asked: string[] = [];
  const wrong = (db: unknown) => {
    asked.push((db as ReturnType<typeof mockFake>).of.name);
    return Promise.reject(failed('42703'));
  };
  await expect(reading(wrong)).rejects.toThrow('Failed query');
  expect(asked).toEqual(['replica']);
});
