'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { readGameFile } from '@/core/game/file';
import { MOST_ALLOWANCE } from '@/core/game/entrant';
import { LIBRARY } from '@/core/game/library';
import { gameSpecSchema } from '@/core/game/spec';
import { requireCoach } from '@/server/actor';
import { changedElsewhere, faults, type FormResult, type Refused } from '../form/result';

/**
 * Saves a game under the id that the form made for it, so that sending it twice saves it once; on a green, if it stands on one.
 * @param basedOn when what was changed had been saved; null for a game that was not saved yet
 */
export async function saveGameAction(
  slug: string,
  gameId: unknown,
  input: unknown,
  greenId: unknown = null,
  basedOn: unknown = null,
): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(gameId);
  const parsed = gameSpecSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  const saved = await data.saveGame(id, parsed.data, z.uuid().nullable().parse(greenId), z.date().nullable().parse(basedOn));
  if (saved === null) return changedElsewhere('game');
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}

/** Takes in a game file. What is wrong in it is said with its place. */
export async function importGameAction(slug: string, gameId: unknown, text: unknown): Promise<{ ok: true } | Refused> {
  const { data } = await requireCoach(slug);
  const id = z.uuid().parse(gameId);
  const read = readGameFile(z.string().parse(text));
  if ('problems' in read) return { ok: false, fields: Object.fromEntries(read.problems.map(({ path, message }) => [path, message])) };
  // A file knows no green: its stations stand by themselves.
  await data.saveGame(id, { ...read.game, stations: read.game.stations.map((station) => ({ ...station, place: null })) });
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}

/** Puts a game away, or brings it back. */
export async function archiveAction(slug: string, gameId: unknown, archived: unknown): Promise<void> {
  const { data } = await requireCoach(slug);
  await data.archiveGame(z.uuid().parse(gameId), z.boolean().parse(archived));
  revalidatePath(`/a/${slug}`, 'layout');
}

const sourceSchema = z.union([z.strictObject({ gameId: z.uuid() }), z.strictObject({ library: z.string(), gameId: z.uuid() })]);
const entrantsSchema = z
  .array(
    z.strictObject({
      playerId: z.uuid(),
      allowance: z
        .number({ error: 'Give the head start as a number, or leave it empty.' })
        .min(-MOST_ALLOWANCE, `A head start is at most ${MOST_ALLOWANCE}.`)
        .max(MOST_ALLOWANCE, `A head start is at most ${MOST_ALLOWANCE}.`)
        .refine((value) => Number.isInteger(value * 2), 'A head start is a whole or a half figure.'),
    }),
  )
  .min(1)
  .max(24, 'At most 24 players in a session.');

/** Starts a game for some players under an id that the page made, so that a double click starts one session. */
export async function startAction(slug: string, sessionId: unknown, from: unknown, who: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const source = sourceSchema.parse(from);
  const entrants = entrantsSchema.safeParse(who);
  if (!entrants.success) return { ok: false, fields: { '': entrants.error.issues[0]!.message } };
  const gameId = 'library' in source ? await ownCopy(data, source) : source.gameId;
  const started = gameId && (await data.startSession(z.uuid().parse(sessionId), gameId, entrants.data));
  return started ? { ok: true } : { ok: false, fields: { '': 'This game or one of the players is no longer here. Load the page again.' } };
}

type Data = Awaited<ReturnType<typeof requireCoach>>['data'];

/** The academy's own copy of a library game: the one it has already, or a new one. */
async function ownCopy(data: Data, { library, gameId }: { library: string; gameId: string }): Promise<string | null> {
  const found = LIBRARY.find((entry) => entry.key === library);
  if (!found) return null;
  const own = await data.findGame(found.spec);
  if (own) return own;
  await data.saveGame(gameId, found.spec);
  return gameId;
}
