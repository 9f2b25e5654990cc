import { allStations } from '@/core/game/station';
import 'server-only';
import { randomUUID } from 'node:crypto';
import { addHours, subDays } from 'date-fns';
import * as z from 'zod';
import { storedBundles, type Bundle } from '@/core/exchange/bundle';
import { againSchema } from '@/core/exchange/home';
import { hourRunSchema } from '@/core/exchange/hour-run';
import { usualLeft } from '@/core/golf/usual-left';
import { stationsCalled } from '@/core/game/open';
import { readingSchema } from '@/core/exchange/reading';
import { mayNote, sentNoteSchema } from '@/core/exchange/session-note';
import { sentStartSchema, type SessionStart } from '@/core/exchange/session-start';
import { readEvents } from '@/core/shot/read-event';
import { shotBatchSchema } from '@/core/shot/shot';
import { behindMs, possibleMoment } from '@/core/shot/when';
import { sayIssue } from '@/core/stored';
import { NotTheirs } from '@/server/about';
import { memberAtGreen } from '@/server/actor';
import { dataOf } from '@/server/data';
import { doorOf, linkHolder, readerOf, type Door, type DoorRefusal } from '@/server/door';
import { ownReport } from '@/server/known/own-report';
import { hear } from '@/server/heard';
import { log } from '@/server/log';
import { newToken } from '@/server/token';
import { TooMany } from '@/server/turns';
import { homeOfDesk, homeOfLink, startAgain } from './home';
import { liveStream } from './live-stream';
import { mayRecord, mayStart, openStream, SESSIONS_A_DAY } from './shares';

const MOST_BYTES = 1_000_000;

/** A refusal with its status, in a sentence. */
export function refuse(status: number, error: string, headers: HeadersInit = {}): Response {
  return Response.json({ error }, { status, headers });
}

const REFUSALS: Readonly<Record<DoorRefusal, [number, string]>> = {
  'signed out': [401, 'Sign in, or open your link again.'],
  'no such session': [404, 'There is no such session.'],
  'too many tries': [429, 'Too many tries. Wait 15 minutes.'],
};

/** An answer that fails says so and nothing more; what was sent stays on the device, which sends it again. */
async function answer(what: string, give: () => Promise<Response>): Promise<Response> {
  try {
    return await give();
  } catch (error) {
    if (error instanceof NotTheirs) return refuse(...REFUSALS['no such session']);
    if (error instanceof TooMany) return refuse(503, 'Too busy right now. Nothing is lost. Try again.', { 'retry-after': '2' });
    log.error({ err: error }, `${what} failed`);
    return refuse(503, 'Something went wrong on our side. Nothing is lost. Try again.');
  }
}

/** Reads the body of what is written; nothing of what is no JSON. From where it comes the front has seen (server/front). */
async function bodyOf(request: Request): Promise<{ body: unknown } | Response> {
  const text = await request.text();
  if (text.length > MOST_BYTES) return refuse(413, 'Too much at once: send at most 200 balls.');
  try {
    return { body: JSON.parse(text) };
  } catch {
    return { body: undefined };
  }
}

/** Answers about a session to whoever may ask for it. */
async function atDoor(request: Request, sessionId: string, give: (door: Door, id: string) => Promise<Response>): Promise<Response> {
  return answer('a request of play', async () => {
    const id = z.uuid().safeParse(sessionId);
    if (!id.success) return refuse(400, 'This isn’t a session.');
    const door = await doorOf(request.headers, id.data);
    return typeof door === 'string' ? refuse(...REFUSALS[door]) : give(door, id.data);
  });
}

const afterOf = (request: Request) =>
  z.coerce
    .number()
    .int()
    .min(0)
    .catch(0)
    .parse(new URL(request.url).searchParams.get('after') ?? 0);

/** Answers with all that a device needs to play a session; of its balls what came after those it has. */
export function answerBundle(request: Request, sessionId: string): Promise<Response> {
  return atDoor(request, sessionId, async (door, id) => {
    const bundle = await bundleOf(door, id, afterOf(request));
    return bundle ? Response.json(bundle, { headers: { 'cache-control': 'no-store' } }) : refuse(...REFUSALS['no such session']);
  });
}

/** Of players of whom somebody does not see more they get what the game needs to be played. */
async function bundleOf({ data, academy, only, sees }: Door, sessionId: string, after: number): Promise<Bundle | null> {
  const found = await data.getSession(sessionId);
  if (!found) return null;
  const { session, players, entrants, notes, stations, coach } = found;
  const own = (playerId: string) => sees === null || sees.includes(playerId);
  return {
    version: storedBundles.version,
    academy: { slug: academy.slug, name: academy.name },
    sessionId,
    gameId: session.gameId,
    startedAt: session.startedAt.toISOString(),
    stopped: session.stoppedAt !== null,
    spec: session.spec,
    only,
    stations,
    conditions: session.conditions,
    players: await Promise.all(
      players.map(async ({ playerId, name, handed, units, paceM, clubM }, i) => ({
        playerId,
        name,
        handed,
        units,
        measures: { paceM: paceM ?? coach.paceM, clubM: clubM ?? coach.clubM },
        entrant: entrants[i]!,
        usual: usualLeft(entrants[i]!.level, allStations(session.spec)),
        ...(own(playerId)
          ? { ...(await data.bagOf(playerId)), best: await data.bestBefore(session, playerId), notes: notes[i]! }
          : { clubs: [], marks: [], favourite: null, best: null, notes: { own: '', coach: '', coaches: [] } }),
      })),
    ),
    events: await data.eventsOfSession(sessionId, after),
  };
}

/** Takes in what is said about a session beside its balls. */
export function answerTelling(request: Request, sessionId: string): Promise<Response> {
  return atDoor(request, sessionId, async ({ data, only }, id) => {
    const sent = await bodyOf(request);
    if (sent instanceof Response) return sent;
    const note = sentNoteSchema.safeParse(sent.body);
    if (!note.success) return refuse(400, sayIssue(note.error));
    const found = await data.getSession(id);
    const players = found?.players.map((player) => player.playerId) ?? [];
    if (!mayNote(note.data, only, players)) return refuse(403, 'Only the coach can say this.');
    const said = note.data;
    if (said.say === 'stopped') await (said.stopped ? data.stopSession(id) : data.resumeSession(id));
    else if (said.say === 'station') {
      const stations = found ? stationsCalled(allStations(found.session.spec), found.shots) : [];
      if (!stations.some((station) => station.key === said.station.key)) return refuse(400, 'This station isn’t in the game.');
      await data.saveStationDistance(id, said.station);
    } else if (said.say === 'conditions') await data.saveConditions(id, said.conditions);
    else await data.saveNote(id, said.playerId, said.whose, said.text);
    return Response.json({ told: said.say });
  });
}

/** Streams what changes in a session. */
export function answerLive(request: Request, sessionId: string): Promise<Response> {
  return atDoor(request, sessionId, async (door, id) => {
    const stillOpen = async () => typeof (await doorOf(request.headers, id)) !== 'string';
    const close = openStream(door);
    if (!close) return refuse(429, 'Too many pages follow this session. Close some.', { 'retry-after': '60' });
    const stream = liveStream({ door, close, sessionId: id, after: afterOf(request), signal: request.signal, stillOpen });
    return new Response(stream, {
      headers: {
        'content-type': 'text/event-stream; charset=utf-8',
        // Neither a compressor nor a proxy may hold lines back.
        'cache-control': 'no-store, no-transform',
        'x-accel-buffering': 'no',
      },
    });
  });
}

/**
 * Takes in a batch of what a device recorded. The same batch may come any number of times. What is good of it is stored; an answer of
 * 409 names the events that never will be.
 */
export async function answerShotEvents(request: Request): Promise<Response> {
  const sent = await bodyOf(request);
  if (sent instanceof Response) return sent;
  const batch = shotBatchSchema.safeParse(sent.body);
  if (!batch.success) return refuse(400, sayIssue(batch.error));
  const { sessionId, sentAt } = batch.data;
  const arrivedAt = new Date();
  const { events, refused: unreadable } = readEvents(batch.data.events);
  return atDoor(request, sessionId, async (door, id) => {
    if (!(await mayRecord(door, events.length)))
      return refuse(429, 'That’s a lot of balls for one hour. They’re kept on the phone and sent later.', { 'retry-after': '600' });
    const { data } = door;
    const { stored, known, refused: foreign } = await data.takeIn(id, events, behindMs(sentAt, arrivedAt));
    const refused = [...unreadable, ...foreign];
    await hear(data, door.academyId, { sessionId: id, deviceIds: events.map(({ deviceId }) => deviceId), refused });
    return Response.json({ stored, known, refused }, { status: refused.length > 0 ? 409 : 200 });
  });
}

type Holder = Exclude<Awaited<ReturnType<typeof linkHolder>>, string>;

/** Answers whoever holds a personal link. @param what as it stands in the log where it fails */
export function atLink(request: Request, what: string, give: (holder: Holder) => Promise<Response>): Promise<Response> {
  return answer(what, async () => {
    const holder = await linkHolder(request.headers);
    return typeof holder === 'string' ? refuse(...REFUSALS[holder]) : give(holder);
  });
}

/** Answers a personal link with what it opens. */
export function answerLink(request: Request): Promise<Response> {
  return atLink(request, 'a personal link', async (holder) => {
    return Response.json(await homeOfLink(holder), { headers: { 'cache-control': 'no-store' } });
  });
}

/** Answers a personal link with its player's own report. */
export function answerOwnReport(request: Request): Promise<Response> {
  return atLink(request, 'a report for a personal link', async (holder) => {
    const report = await ownReport(holder.actor.academyId, holder.actor.playerId, new Date());
    return report ? Response.json({ report }, { headers: { 'cache-control': 'no-store' } }) : refuse(404, 'There is no such player.');
  });
}

/** Starts a game for the player of a personal link: one that this player has played before. */
export function answerAgain(request: Request): Promise<Response> {
  return atLink(request, 'a start by a personal link', async (holder) => {
    const sent = await bodyOf(request);
    if (sent instanceof Response) return sent;
    const again = againSchema.safeParse(sent.body);
    if (!again.success) return refuse(400, sayIssue(again.error));
    if (!(await mayStart(holder.actor.academyId, holder.actor.playerId)))
      return refuse(429, `You’ve started ${SESSIONS_A_DAY} sessions today. Carry on with one of them.`, { 'retry-after': '3600' });
    const started = await startAgain(holder, again.data);
    return started ? Response.json(await homeOfLink(holder)) : refuse(404, 'There is no such game to play alone.');
  });
}

/** Answers whoever coaches with what their sign-in opens on a phone. */
export function answerHome(request: Request): Promise<Response> {
  return answer('a start page', async () => {
    const asked = new URL(request.url).searchParams;
    const member = await memberAtGreen(request.headers, asked.get('academy'));
    if (member === 'signed out') return refuse(...REFUSALS[member]);
    if (!member) return refuse(404, 'There is no such academy.');
    return Response.json(await homeOfDesk(member, asked.get('kit') !== 'no'), { headers: { 'cache-control': 'no-store' } });
  });
}

const GONE = {
  'no game': 'This game has been deleted.',
  'no player': 'None of its players is in the academy any more.',
  'another session': 'Another session has this number.',
} as const;
/** A phone may have been without a network for as long as this; whatever it says was earlier was then. */
const MOST_DAYS = 366;

/** Takes in a session that a device began by itself; the same one may come any number of times. */
export function answerStart(request: Request): Promise<Response> {
  return answer('a start', async () => {
    const sent = await bodyOf(request);
    if (sent instanceof Response) return sent;
    const read = sentStartSchema.safeParse(sent.body);
    if (!read.success) return refuse(400, sayIssue(read.error));
    const { start, sentAt } = read.data;
    const arrivedAt = new Date();
    const begunAt = possibleMoment(start.startedAt, {
      openedAt: subDays(arrivedAt, MOST_DAYS),
      receivedAt: arrivedAt,
      behindMs: behindMs(sentAt, arrivedAt) ?? 0,
    });
    const taken = request.headers.has('authorization')
      ? await startByLink(request, start, begunAt)
      : await startByMember(request, start, begunAt);
    if (taken instanceof Response) return taken;
    return taken === true ? Response.json({ started: start.sessionId }) : refuse(409, GONE[taken]);
  });
}

async function startByMember({ headers }: Request, start: SessionStart, begunAt: Date) {
  const member = await memberAtGreen(headers, start.academy);
  if (member === 'signed out') return refuse(...REFUSALS[member]);
  return member ? member.data.takeStart(start, begunAt) : refuse(404, 'There is no such academy.');
}

/** By a personal link somebody starts a game that they have played before, alone and without a head start. */
async function startByLink({ headers }: Request, start: SessionStart, begunAt: Date) {
  const holder = await linkHolder(headers);
  if (typeof holder === 'string') return refuse(...REFUSALS[holder]);
  const { academyId, playerId } = holder.actor;
  const [entrant, ...others] = start.entrants;
  const data = dataOf(holder.actor);
  if (
    entrant!.playerId !== playerId ||
    others.length > 0 ||
    !((await data.hasPlayed(playerId, start.gameId)) || (await data.isPlannedFor(playerId, start.gameId)))
  )
    return refuse(403, 'With your link you can only start your own games, playing alone.');
  const saidBefore = (await data.getSession(start.sessionId)) !== null;
  if (!saidBefore && !(await mayStart(academyId, playerId)))
    return refuse(429, `You’ve started ${SESSIONS_A_DAY} sessions today. Carry on with one of them.`, { 'retry-after': '3600' });
  return data.takeStart({ ...start, entrants: [{ ...entrant!, allowance: 0 }] }, begunAt);
}

/** Takes in how a planned hour is done; of one run the newest telling counts. */
export function answerRun(request: Request, hourId: string): Promise<Response> {
  return answer('a run', async () => {
    const sent = await bodyOf(request);
    if (sent instanceof Response) return sent;
    const read = hourRunSchema.safeParse(sent.body);
    if (!read.success) return refuse(400, sayIssue(read.error));
    const { academy, run } = read.data;
    if (run.hourId !== hourId) return refuse(400, 'This is the run of another hour.');
    const holder = request.headers.has('authorization') ? await linkHolder(request.headers) : await memberAtGreen(request.headers, academy);
    if (typeof holder === 'string') return refuse(...REFUSALS[holder]);
    if (!holder) return refuse(404, 'There is no such academy.');
    const data = 'actor' in holder ? dataOf(holder.actor) : holder.data;
    return (await data.takeRun(run)) ? Response.json({ taken: run.runId }) : refuse(404, 'This hour has been deleted.');
  });
}

const KEY_HOURS = 24;

/** Makes the key with which a device reads distances for a session: for the coach to hand out. */
export function answerReaderKey(request: Request, sessionId: string): Promise<Response> {
  return atDoor(request, sessionId, async ({ data, academyId, only }, id) => {
    if (only !== null) return refuse(403, 'Only the coach can do this.');
    const { token, hash } = newToken(academyId);
    await data.keepReaderKey(id, { keyId: randomUUID(), tokenHash: hash, expiresAt: addHours(new Date(), KEY_HOURS) });
    return Response.json({ key: token }, { headers: { 'cache-control': 'no-store' } });
  });
}

/** Takes in what a device for distances read. */
export function answerReading(request: Request): Promise<Response> {
  return answer('a reading', async () => {
    const reader = await readerOf(request.headers);
    if (typeof reader === 'string') return refuse(reader === 'too many tries' ? 429 : 401, 'No session has this key.');
    const sent = await bodyOf(request);
    if (sent instanceof Response) return sent;
    const reading = readingSchema.safeParse(sent.body);
    if (!reading.success) return refuse(400, sayIssue(reading.error));
    const { data, keyId, sessionId } = reader;
    const taken = await data.takeReading({ keyId, sessionId }, reading.data);
    return taken ? Response.json({ taken }) : refuse(409, 'This reading, or a newer one, is already here.');
  });
}
