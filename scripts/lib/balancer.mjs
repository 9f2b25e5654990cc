import { createServer, request } from 'node:http';
import { freePort } from './postgres.mjs';

/**
 * The plainest balancer there is, for trials: each request goes to the next instance, whoever it is from; where that one is away, to another. It adds whom
 * it heard to X-Forwarded-For, as a reverse proxy does.
 * @param targets addresses of the instances, or of another proxy
 */
export async function startBalancer(targets) {
  let turn = 0;
  const server = createServer((incoming, outgoing) => {
    const parts = [];
    incoming.on('data', (part) => parts.push(part));
    incoming.on('end', () => pass(Buffer.concat(parts), targets.length));
    const pass = (body, tries) => {
      const target = new URL(targets[turn++ % targets.length]);
      const heard = [incoming.headers['x-forwarded-for'], incoming.socket.remoteAddress].filter(Boolean).join(', ');
      const headers = { ...incoming.headers, 'x-forwarded-for': heard };
      const { method, url: path } = incoming;
      const sent = request({ host: target.hostname, port: target.port, method, path, headers, agent: false }, (answer) => {
        outgoing.writeHead(answer.statusCode, answer.headers);
        answer.pipe(outgoing);
        answer.on('error', () => outgoing.destroy());
      });
      // Only what did not begin is tried elsewhere.
      sent.on('error', (error) => {
        if (outgoing.headersSent || outgoing.destroyed) return outgoing.destroy();
        if (error.code === 'ECONNREFUSED' && tries > 1) return pass(body, tries - 1);
        outgoing.writeHead(502).end();
      });
      outgoing.on('close', () => sent.destroy());
      sent.end(body);
    };
  });
  const port = await freePort();
  await new Promise((ready) => server.listen(port, '127.0.0.1', ready));
  const stop = () => {
    server.close();
    server.closeAllConnections();
  };
  return { url: `http://127.0.0.1:${port}`, stop };
}
