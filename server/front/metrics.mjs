import { createHash, timingSafeEqual } from 'node:crypto';
import { createServer } from 'node:http';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

/**
 * What the program measures of itself while it runs, in the usual text format: how many requests, how long they took, what waits, what failed. It
 * counts and names nobody: no address, no academy, no session stands in it.
 */
const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10, 30];

/** What stands between the front and what answers behind it (server/metrics.ts), which is bundled by itself. */
const held = globalThis;

/** Begins to measure. @returns what is measured, and how a request is counted */
export function makeMetrics() {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  const of = (Kind, name, help, more = {}) => new Kind({ name: `inch_${name}`, help, registers: [registry], ...more });
  const requests = of(Counter, 'requests_total', 'Requests answered.', { labelNames: ['kind', 'method', 'status'] });
  const seconds = of(
    Histogram,
    'request_seconds',
    'How long a request took, from its arrival to the end of its answer; "balls" is what a phone waits for.',
    {
      labelNames: ['kind'],
      buckets: SECONDS,
    },
  );
  const sums = of(Histogram, 'sum_seconds', 'How long sums took on the threads beside, waiting included: fits, forecasts, plans.', {
    labelNames: ['kind'],
    buckets: SECONDS,
  });
  const errors = of(Counter, 'errors_total', 'Errors written to the log.');
  const refused = of(Counter, 'refused_events_total', 'What phones said about balls and will never be stored.');
  const reads = of(Counter, 'reads_total', 'Questions that only read, where there is a replica.', { labelNames: ['from'] });
  const read = {};
  const gauge = (name, help) =>
    of(Gauge, name, help, {
      collect() {
        this.set(read[name]?.() ?? 0);
      },
    });
  gauge('sums_waiting', 'Sums that wait for a thread.');
  gauge('balls_waiting', 'Posts of balls that wait to be answered.');
  gauge('streams_open', 'Pages that follow a session live.');
  gauge('connections_busy', 'Connections to the database that are in use.');
  gauge('connections_waiting', 'Queries that wait for a connection.');
  gauge('replica_connections_busy', 'Connections to the replica that are in use.');
  held.inchGameMetrics = { sums, errors, refused, reads, read };
  return {
    read,
    text: () => registry.metrics(),
    type: registry.contentType,
    /** Counts a request once it was answered. A live stream is counted as it ends, and its length says nothing. */
    count(request, response) {
      const begun = process.hrtime.bigint();
      response.once('close', () => {
        const kind = kindOf(request);
        requests.inc({ kind, method: request.method ?? '', status: `${Math.floor(response.statusCode / 100)}xx` });
        if (kind !== 'live') seconds.observe({ kind }, Number(process.hrtime.bigint() - begun) / 1e9);
      });
    },
  };
}

/** What a request is for, in a word. */
export function kindOf({ method, url = '', headers }) {
  const path = url.split('?')[0];
  if (path === '/api/v1/shot-events') return 'balls';
  if (/^\/api\/v1\/sessions\/[^/]+\/live$/.test(path)) return 'live';
  if (path.startsWith('/api/auth/')) return 'sign-in';
  if (path.startsWith('/api/')) return 'api';
  if (path.startsWith('/_next/') || path.startsWith('/shell/') || /\.\w{2,5}$/.test(path)) return 'file';
  return method === 'POST' && headers['next-action'] !== undefined ? 'action' : 'page';
}

/** Whether a request may read what is measured: it carries the token, which is compared in a time that says nothing. */
export function mayRead({ headers }, token) {
  const given = /^Bearer (.+)$/.exec(headers.authorization ?? '')?.[1];
  if (!token || given === undefined) return false;
  const hash = (text) => createHash('sha256').update(text).digest();
  return timingSafeEqual(hash(given), hash(token));
}

/** Answers with what is measured. */
export async function tell(metrics, response) {
  const text = await metrics.text();
  response.writeHead(200, { 'content-type': metrics.type, 'cache-control': 'no-store' });
  response.end(text);
}

/** Lets whoever is on this machine read it, on a port of its own, which no reverse proxy passes on. */
export function onLoopback(metrics, port) {
  const server = createServer((request, response) => {
    if (request.url?.split('?')[0] !== '/metrics') return response.writeHead(404).end();
    return tell(metrics, response).catch(() => response.destroy());
  });
  server.listen(port, '127.0.0.1');
  return server;
}
