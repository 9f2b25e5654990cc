import { sayBackups } from './say-backups';

const made = (begunAt: string) => ({
  backupId: 1,
  begunAt: new Date(begunAt),
  endedAt: new Date(begunAt),
  bytes: 12_440_000,
  failure: null,
});
const failed = (begunAt: string) => ({ ...made(begunAt), bytes: null, failure: 'the disk is full' });
const now = new Date('2026-11-30T12:00:00Z');
const say = (good: ReturnType<typeof made> | null, tried: Parameters<typeof sayBackups>[0]['tried']) =>
  sayBackups({ good, tried }, 'Europe/Paris', now);

test('the last backup is said with its size, and how old it is once one was missed', () => {
  const today = made('2026-11-30T03:00:00Z');
  expect(say(today, today)).toBe('Last backup: Mon 30 Nov, 04:00, 12.4 MB.');
  const old = made('2026-11-25T03:00:00Z');
  expect(say(old, old)).toBe('Last backup: Wed 25 Nov, 04:00, 12.4 MB, 5 days ago.');
});

test('a failure since is said first, without what only the operator understands', () => {
  expect(say(made('2026-11-29T03:00:00Z'), failed('2026-11-30T03:00:00Z'))).toBe(
    'The backup of Mon 30 Nov, 04:00 failed. Tell whoever runs the server. Last backup: Sun 29 Nov, 04:00, 12.4 MB.',
  );
  expect(say(null, failed('2026-11-30T03:00:00Z'))).toBe(
    'The backup of Mon 30 Nov, 04:00 failed. Tell whoever runs the server. No backups yet.',
  );
  expect(say(null, null)).toBe('No backups yet. Ask whoever runs the server to turn them on.');
});
