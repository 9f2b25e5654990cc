import { createServer } from 'node:http';
import next from 'next';
import {
  actionBody,
  again,
  badRequest,
  bodyOf,
  bringsBalls,
  makeGate,
  makeSenderOf,
  makeSmaller,
  refusal,
  SENDER,
  strictly,
} from '../server/front/front.mjs';
import { makeMetrics, mayRead, onLoopback, tell } from '../server/front/metrics.mjs';
import { root } from './lib/install.mjs';
import { shrunkFiles } from './lib/shrink.mjs';

/**
 * Serves the program: `node scripts/serve.mjs start|dev PORT HOST`, with the settings of server/env.ts in the environment. What the
 * framework can't know stands here: who really sends, what can't be a request at all, and how to stop without cutting anybody off.
 */
const [mode, port, host] = [process.argv[2], Number(process.argv[3]), process.argv[4]];
const dev = mode === 'dev';
/** What is under way may take so long to its end once the program is asked to stop. */
const GRACE_MS = 8_000;

const senderOf = makeSenderOf(process.env.TRUST_PROXY);
/** So many posts of balls are answered at once: as many as keep the database busy. */
const ballsMayEnter = makeGate(8);
const smaller = makeSmaller(dev ? new Set() : shrunkFiles());
const publicUrl = process.env.PUBLIC_URL ?? '';
let handle;
const metrics = makeMetrics();
metrics.read.balls_waiting = ballsMayEnter.waiting;
const { METRICS_TOKEN, METRICS_PORT } = process.env;

async function answer(request, response) {
  metrics.count(request, response);
  if (METRICS_TOKEN && request.url === '/metrics')
    return mayRead(request, METRICS_TOKEN) ? tell(metrics, response) : response.writeHead(404).end();
  for (const [name, value] of Object.entries(strictly(publicUrl))) response.setHeader(name, value);
  const wrong = badRequest(request, publicUrl);
  if (wrong) return refusal(request, response, wrong);
  request.headers[SENDER] = senderOf(request);
  smaller(request, response);
  const balls = bringsBalls(request);
  if (!balls && request.headers['next-action'] === undefined) return handle(request, response);
  const read = await (balls ? bodyOf : actionBody)(request);
  if (read.wrong) return refusal(request, response, read.wrong);
  if (balls) {
    // Only who has sent everything takes a place, and gives it back whatever happens.
    const leave = await ballsMayEnter();
    if (response.closed) return leave();
    response.once('close', leave);
  }
  return handle(again(request, read.body), response);
}

const server = createServer((request, response) => {
  answer(request, response).catch((error) => {
    console.error(`a request could not be answered: ${error?.code ?? error?.name ?? 'unknown'}`);
    if (!response.headersSent) response.writeHead(500);
    response.end();
  });
});
const app = next({ dev, dir: root, hostname: host, port, httpServer: server });
await app.prepare();
handle = app.getRequestHandler();
const measured = METRICS_PORT ? onLoopback(metrics, Number(METRICS_PORT)) : null;
server.listen(port, host, () => console.log(`serving on ${host}:${port}`));

let stopping = false;
async function stop() {
  if (stopping) return;
  stopping = true;
  const closed = new Promise((resolve) => server.close(resolve));
  // Live streams have no end of their own: they are told (server/live.ts), and go on elsewhere.
  process.emit('inch:stop');
  measured?.close();
  server.closeIdleConnections();
  const idle = setInterval(() => server.closeIdleConnections(), 100);
  await Promise.race([closed, new Promise((resolve) => setTimeout(resolve, GRACE_MS))]);
  clearInterval(idle);
  server.closeAllConnections();
  await Promise.race([app.close(), new Promise((resolve) => setTimeout(resolve, 1_000))]);
  process.exit(0);
}
for (const signal of ['SIGTERM', 'SIGINT']) process.on(signal, () => void stop());
